CREATE TABLE `figure_before` (
	`variant_revision_id` text PRIMARY KEY NOT NULL,
	`kind` text NOT NULL,
	`sink_speed_mm_per_s` real,
	`low` real,
	`high` real,
	`posture` text,
	FOREIGN KEY (`variant_revision_id`) REFERENCES `variant_revision`(`id`) ON UPDATE no action ON DELETE cascade
);
