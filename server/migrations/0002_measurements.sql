CREATE TABLE `drop_test` (
	`id` text PRIMARY KEY NOT NULL,
	`variant_revision_id` text NOT NULL,
	`at_ms` integer NOT NULL,
	`depth_mm` real NOT NULL,
	`timing` text NOT NULL,
	`water_temp_c` real NOT NULL,
	`vessel_mm` real,
	`tippet_diameter_mm` real,
	`tippet_length_mm` real,
	`tippet_density_mg_per_mm3` real,
	`wet` text NOT NULL,
	`times` text NOT NULL,
	`note` text DEFAULT '' NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`archived_at_ms` integer,
	FOREIGN KEY (`variant_revision_id`) REFERENCES `variant_revision`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "drop_test_depth" CHECK(depth_mm > 0),
	CONSTRAINT "drop_test_line" CHECK((tippet_diameter_mm is null) = (tippet_length_mm is null))
);
--> statement-breakpoint
CREATE INDEX `drop_test_revision` ON `drop_test` (`variant_revision_id`);--> statement-breakpoint
CREATE TABLE `weighing` (
	`id` text PRIMARY KEY NOT NULL,
	`variant_revision_id` text,
	`material_id` text,
	`at_ms` integer NOT NULL,
	`count` real NOT NULL,
	`total_mg` real NOT NULL,
	`readability_mg` real NOT NULL,
	`source` text NOT NULL,
	`note` text DEFAULT '' NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`archived_at_ms` integer,
	FOREIGN KEY (`variant_revision_id`) REFERENCES `variant_revision`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`material_id`) REFERENCES `material`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "weighing_subject" CHECK((variant_revision_id is null) <> (material_id is null)),
	CONSTRAINT "weighing_positive" CHECK(count > 0 and total_mg > 0)
);
--> statement-breakpoint
CREATE INDEX `weighing_revision` ON `weighing` (`variant_revision_id`);--> statement-breakpoint
CREATE INDEX `weighing_material` ON `weighing` (`material_id`);