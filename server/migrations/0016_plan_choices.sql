CREATE TABLE `plan` (
	`id` text PRIMARY KEY NOT NULL,
	`choices` text NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`archived_at_ms` integer
);
