CREATE TABLE `evening` (
	`id` text PRIMARY KEY NOT NULL,
	`minutes` integer,
	`version` integer DEFAULT 1 NOT NULL,
	`archived_at_ms` integer,
	CONSTRAINT "evening_minutes" CHECK(minutes between 0 and 600)
);
--> statement-breakpoint
ALTER TABLE `variant_figure` ADD `nights_to_dry` integer DEFAULT 0 NOT NULL;