CREATE TABLE `told` (
	`which` text PRIMARY KEY NOT NULL,
	`version` text NOT NULL,
	`on` text NOT NULL,
	`actions` integer NOT NULL,
	`body` text NOT NULL
);
