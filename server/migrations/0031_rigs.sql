CREATE TABLE `rig` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`way` text NOT NULL,
	`parts` text NOT NULL,
	`note` text DEFAULT '' NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`archived_at_ms` integer
);
--> statement-breakpoint
ALTER TABLE `spell` ADD `rig_id` text REFERENCES rig(id);