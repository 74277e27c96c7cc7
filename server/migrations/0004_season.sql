CREATE TABLE `observation` (
	`id` text PRIMARY KEY NOT NULL,
	`reach_id` text NOT NULL,
	`on` text NOT NULL,
	`local_min` integer,
	`food_stage_id` text NOT NULL,
	`kind` text NOT NULL,
	`count` integer,
	`length_mm` real,
	`effort_minutes` integer,
	`method` text NOT NULL,
	`note` text DEFAULT '' NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`archived_at_ms` integer,
	FOREIGN KEY (`reach_id`) REFERENCES `reach`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`food_stage_id`) REFERENCES `food_stage`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "observation_count" CHECK(count is null or count >= 0)
);
--> statement-breakpoint
CREATE INDEX `observation_stage` ON `observation` (`food_stage_id`);--> statement-breakpoint
CREATE INDEX `observation_reach` ON `observation` (`reach_id`);--> statement-breakpoint
CREATE TABLE `reading` (
	`import_id` text NOT NULL,
	`day` integer NOT NULL,
	`local_min` integer NOT NULL,
	`temp_c100` integer,
	`level_mm` integer,
	`clarity_mm` integer,
	PRIMARY KEY(`import_id`, `day`, `local_min`),
	FOREIGN KEY (`import_id`) REFERENCES `reading_import`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `reading_day` (
	`reach_id` text NOT NULL,
	`depth_mm` integer NOT NULL,
	`day` integer NOT NULL,
	`min_c` real NOT NULL,
	`mean_c` real NOT NULL,
	`max_c` real NOT NULL,
	`n` integer NOT NULL,
	PRIMARY KEY(`reach_id`, `depth_mm`, `day`)
);
--> statement-breakpoint
CREATE TABLE `reading_import` (
	`id` text PRIMARY KEY NOT NULL,
	`reach_id` text NOT NULL,
	`depth_mm` integer NOT NULL,
	`source` text NOT NULL,
	`at_ms` integer NOT NULL,
	`row_count` integer NOT NULL,
	`first_day` integer NOT NULL,
	`last_day` integer NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`archived_at_ms` integer,
	FOREIGN KEY (`reach_id`) REFERENCES `reach`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `reading_import_reach` ON `reading_import` (`reach_id`);--> statement-breakpoint
CREATE TABLE `season_window` (
	`reach_id` text PRIMARY KEY NOT NULL,
	`input_hash` text NOT NULL,
	`windows` text NOT NULL,
	FOREIGN KEY (`reach_id`) REFERENCES `reach`(`id`) ON UPDATE no action ON DELETE no action
);
