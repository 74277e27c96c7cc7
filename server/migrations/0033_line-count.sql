CREATE TABLE `line_count` (
	`id` text PRIMARY KEY NOT NULL,
	`rig_id` text NOT NULL,
	`at_ms` integer NOT NULL,
	`depth_mm` real NOT NULL,
	`count_s` real NOT NULL,
	`water_temp_c` real NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`archived_at_ms` integer,
	FOREIGN KEY (`rig_id`) REFERENCES `rig`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "line_count_figures" CHECK(depth_mm > 0 and count_s > 0)
);
--> statement-breakpoint
CREATE INDEX `line_count_rig` ON `line_count` (`rig_id`);