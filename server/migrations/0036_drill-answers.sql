CREATE TABLE `drill_answer` (
	`id` text PRIMARY KEY NOT NULL,
	`drill` text NOT NULL,
	`subject` text NOT NULL,
	`at_ms` integer NOT NULL,
	`is_right` integer NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`archived_at_ms` integer
);
--> statement-breakpoint
CREATE INDEX `drill_answer_drill` ON `drill_answer` (`drill`);