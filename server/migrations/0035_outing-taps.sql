CREATE TABLE `outing_tap` (
	`id` text PRIMARY KEY NOT NULL,
	`outing_id` text NOT NULL,
	`at_ms` integer NOT NULL,
	`said` text NOT NULL,
	`booked` integer DEFAULT false NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`archived_at_ms` integer,
	FOREIGN KEY (`outing_id`) REFERENCES `outing`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `outing_tap_outing` ON `outing_tap` (`outing_id`);