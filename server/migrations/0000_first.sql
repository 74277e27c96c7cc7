CREATE TABLE `action` (
	`id` text PRIMARY KEY NOT NULL,
	`kind` text NOT NULL,
	`at_ms` integer NOT NULL,
	`label` text NOT NULL,
	`request_hash` text NOT NULL,
	`result` text NOT NULL,
	`before` text NOT NULL,
	`undoable` integer NOT NULL,
	`undoes_action_id` text
);
--> statement-breakpoint
CREATE UNIQUE INDEX `action_undoes_action_id_unique` ON `action` (`undoes_action_id`);--> statement-breakpoint
CREATE INDEX `action_at` ON `action` (`at_ms`);--> statement-breakpoint
CREATE TABLE `batch` (
	`id` text PRIMARY KEY NOT NULL,
	`variant_revision_id` text NOT NULL,
	`planned_count` integer NOT NULL,
	`status` text NOT NULL,
	`way` text DEFAULT 'flyByFly' NOT NULL,
	`on_vise` integer DEFAULT false NOT NULL,
	`compartment_id` text NOT NULL,
	`queue_position` integer DEFAULT 0 NOT NULL,
	`created_at_ms` integer NOT NULL,
	`started_at_ms` integer,
	`ended_at_ms` integer,
	`version` integer DEFAULT 1 NOT NULL,
	`archived_at_ms` integer,
	FOREIGN KEY (`variant_revision_id`) REFERENCES `variant_revision`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`compartment_id`) REFERENCES `compartment`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "batch_planned" CHECK(planned_count between 1 and 999)
);
--> statement-breakpoint
CREATE UNIQUE INDEX `batch_one_on_vise` ON `batch` (`on_vise`) WHERE on_vise = 1;--> statement-breakpoint
CREATE INDEX `batch_status` ON `batch` (`status`);--> statement-breakpoint
CREATE TABLE `batch_event` (
	`id` text PRIMARY KEY NOT NULL,
	`batch_id` text NOT NULL,
	`at_ms` integer NOT NULL,
	`kind` text NOT NULL,
	`step_key` text,
	`count` integer NOT NULL,
	`spoiled_cause` text,
	`undoes_event_id` text,
	FOREIGN KEY (`batch_id`) REFERENCES `batch`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `batch_event_undoes_event_id_unique` ON `batch_event` (`undoes_event_id`);--> statement-breakpoint
CREATE INDEX `batch_event_batch` ON `batch_event` (`batch_id`);--> statement-breakpoint
CREATE TABLE `box` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`name_key` text NOT NULL,
	`kind` text NOT NULL,
	`position` integer DEFAULT 0 NOT NULL,
	`note` text DEFAULT '' NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`archived_at_ms` integer
);
--> statement-breakpoint
CREATE UNIQUE INDEX `box_name` ON `box` (`name_key`) WHERE archived_at_ms is null;--> statement-breakpoint
CREATE TABLE `compartment` (
	`id` text PRIMARY KEY NOT NULL,
	`box_id` text NOT NULL,
	`row` integer NOT NULL,
	`column` integer NOT NULL,
	`label` text NOT NULL,
	`capacity` integer,
	`holds` text DEFAULT 'foam' NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`archived_at_ms` integer,
	FOREIGN KEY (`box_id`) REFERENCES `box`(`id`) ON UPDATE no action ON DELETE cascade,
	CONSTRAINT "compartment_capacity" CHECK(capacity is null or capacity > 0)
);
--> statement-breakpoint
CREATE UNIQUE INDEX `compartment_place` ON `compartment` (`box_id`,`row`,`column`);--> statement-breakpoint
CREATE TABLE `dressing` (
	`id` text PRIMARY KEY NOT NULL,
	`pattern_id` text NOT NULL,
	`revision` integer NOT NULL,
	`body` text NOT NULL,
	`content_hash` text NOT NULL,
	`created_at_ms` integer NOT NULL,
	FOREIGN KEY (`pattern_id`) REFERENCES `pattern`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `dressing_revision` ON `dressing` (`pattern_id`,`revision`);--> statement-breakpoint
CREATE TABLE `family` (
	`id` text PRIMARY KEY NOT NULL,
	`kind` text NOT NULL,
	`name` text NOT NULL,
	`stock_unit` text NOT NULL,
	`body` text NOT NULL,
	`shipped_key` text,
	`shipped_version` integer,
	`edited` integer DEFAULT false NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`archived_at_ms` integer
);
--> statement-breakpoint
CREATE UNIQUE INDEX `family_shipped_key_unique` ON `family` (`shipped_key`);--> statement-breakpoint
CREATE TABLE `fly_balance` (
	`compartment_id` text NOT NULL,
	`variant_revision_id` text NOT NULL,
	`count` integer NOT NULL,
	PRIMARY KEY(`compartment_id`, `variant_revision_id`),
	CONSTRAINT "fly_balance_count" CHECK(count >= 0)
);
--> statement-breakpoint
CREATE INDEX `fly_balance_revision` ON `fly_balance` (`variant_revision_id`);--> statement-breakpoint
CREATE TABLE `fly_entry` (
	`id` text PRIMARY KEY NOT NULL,
	`action_id` text NOT NULL,
	`at_ms` integer NOT NULL,
	`compartment_id` text NOT NULL,
	`variant_revision_id` text NOT NULL,
	`delta` integer NOT NULL,
	`cause` text NOT NULL,
	`loss_cause` text,
	`counted` integer,
	`batch_id` text,
	`outing_id` text,
	`reverses_entry_id` text,
	FOREIGN KEY (`compartment_id`) REFERENCES `compartment`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`variant_revision_id`) REFERENCES `variant_revision`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `fly_entry_reverses_entry_id_unique` ON `fly_entry` (`reverses_entry_id`);--> statement-breakpoint
CREATE INDEX `fly_entry_action` ON `fly_entry` (`action_id`);--> statement-breakpoint
CREATE INDEX `fly_entry_outing` ON `fly_entry` (`outing_id`);--> statement-breakpoint
CREATE INDEX `fly_entry_place` ON `fly_entry` (`compartment_id`,`variant_revision_id`);--> statement-breakpoint
CREATE TABLE `food` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`group_key` text NOT NULL,
	`shipped_key` text,
	`shipped_version` integer,
	`edited` integer DEFAULT false NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`archived_at_ms` integer
);
--> statement-breakpoint
CREATE UNIQUE INDEX `food_shipped_key_unique` ON `food` (`shipped_key`);--> statement-breakpoint
CREATE TABLE `food_stage` (
	`id` text PRIMARY KEY NOT NULL,
	`food_id` text NOT NULL,
	`stage` text NOT NULL,
	`stage_name` text NOT NULL,
	`depth_band_river` text,
	`depth_band_stillwater` text,
	`importance` real NOT NULL,
	`body` text NOT NULL,
	`shipped_key` text,
	`shipped_version` integer,
	`edited` integer DEFAULT false NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`archived_at_ms` integer,
	FOREIGN KEY (`food_id`) REFERENCES `food`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `food_stage_shipped_key_unique` ON `food_stage` (`shipped_key`);--> statement-breakpoint
CREATE INDEX `food_stage_food` ON `food_stage` (`food_id`);--> statement-breakpoint
CREATE TABLE `material` (
	`id` text PRIMARY KEY NOT NULL,
	`family_id` text NOT NULL,
	`size_key` text DEFAULT '' NOT NULL,
	`size_as_written` text DEFAULT '' NOT NULL,
	`colour_name` text NOT NULL,
	`colour_key` text NOT NULL,
	`colour_hex` text NOT NULL,
	`colour_wet_hex` text NOT NULL,
	`pack_amount` integer,
	`minimum_amount` integer,
	`note` text DEFAULT '' NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`archived_at_ms` integer,
	FOREIGN KEY (`family_id`) REFERENCES `family`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `material_drawer` ON `material` (`family_id`,`size_key`,`colour_key`);--> statement-breakpoint
CREATE TABLE `material_balance` (
	`material_id` text PRIMARY KEY NOT NULL,
	`amount` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `material_entry` (
	`id` text PRIMARY KEY NOT NULL,
	`action_id` text NOT NULL,
	`at_ms` integer NOT NULL,
	`material_id` text NOT NULL,
	`delta` integer NOT NULL,
	`cause` text NOT NULL,
	`counted` integer,
	`batch_id` text,
	`reverses_entry_id` text,
	FOREIGN KEY (`material_id`) REFERENCES `material`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `material_entry_reverses_entry_id_unique` ON `material_entry` (`reverses_entry_id`);--> statement-breakpoint
CREATE INDEX `material_entry_action` ON `material_entry` (`action_id`);--> statement-breakpoint
CREATE INDEX `material_entry_material` ON `material_entry` (`material_id`);--> statement-breakpoint
CREATE TABLE `outing` (
	`id` text PRIMARY KEY NOT NULL,
	`water_id` text NOT NULL,
	`reach_id` text,
	`on` text NOT NULL,
	`from_local_min` integer NOT NULL,
	`to_local_min` integer NOT NULL,
	`status` text NOT NULL,
	`technique` text NOT NULL,
	`note` text DEFAULT '' NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`archived_at_ms` integer,
	FOREIGN KEY (`water_id`) REFERENCES `water`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`reach_id`) REFERENCES `reach`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "outing_hours" CHECK(from_local_min < to_local_min)
);
--> statement-breakpoint
CREATE INDEX `outing_on` ON `outing` (`on`);--> statement-breakpoint
CREATE TABLE `pattern` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`name_key` text NOT NULL,
	`purpose` text NOT NULL,
	`own_months` text NOT NULL,
	`fished_how` text NOT NULL,
	`water_kinds` text NOT NULL,
	`dislike` real DEFAULT 0 NOT NULL,
	`note` text DEFAULT '' NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`archived_at_ms` integer
);
--> statement-breakpoint
CREATE UNIQUE INDEX `pattern_name` ON `pattern` (`name_key`) WHERE archived_at_ms is null;--> statement-breakpoint
CREATE TABLE `pattern_serves` (
	`pattern_id` text NOT NULL,
	`food_stage_id` text NOT NULL,
	`weight` real NOT NULL,
	PRIMARY KEY(`pattern_id`, `food_stage_id`),
	FOREIGN KEY (`pattern_id`) REFERENCES `pattern`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`food_stage_id`) REFERENCES `food_stage`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `pattern_serves_stage` ON `pattern_serves` (`food_stage_id`);--> statement-breakpoint
CREATE TABLE `reach` (
	`id` text PRIMARY KEY NOT NULL,
	`water_id` text NOT NULL,
	`kind` text NOT NULL,
	`position` integer NOT NULL,
	`name` text NOT NULL,
	`elevation_m` real NOT NULL,
	`typical_depth_mm` integer NOT NULL,
	`surface_speed_mm_per_s` integer NOT NULL,
	`bed_roughness_mm` real DEFAULT 20 NOT NULL,
	`default_temp_c` text NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`archived_at_ms` integer,
	FOREIGN KEY (`water_id`) REFERENCES `water`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `reach_position` ON `reach` (`water_id`,`position`);--> statement-breakpoint
CREATE TABLE `revision_material` (
	`variant_revision_id` text NOT NULL,
	`component_key` text NOT NULL,
	`material_id` text NOT NULL,
	PRIMARY KEY(`variant_revision_id`, `component_key`),
	FOREIGN KEY (`variant_revision_id`) REFERENCES `variant_revision`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`material_id`) REFERENCES `material`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `revision_material_material` ON `revision_material` (`material_id`);--> statement-breakpoint
CREATE TABLE `setting` (
	`id` text PRIMARY KEY NOT NULL,
	`body` text NOT NULL,
	`clock_stands_at_ms` integer,
	`is_demo` integer DEFAULT false NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`archived_at_ms` integer
);
--> statement-breakpoint
CREATE TABLE `variant` (
	`id` text PRIMARY KEY NOT NULL,
	`pattern_id` text NOT NULL,
	`position` integer NOT NULL,
	`label` text NOT NULL,
	`label_key` text NOT NULL,
	`hook_material_id` text NOT NULL,
	`swaps` text NOT NULL,
	`par_count` integer,
	`current_revision_id` text NOT NULL,
	`home_compartment_id` text,
	`version` integer DEFAULT 1 NOT NULL,
	`archived_at_ms` integer,
	FOREIGN KEY (`pattern_id`) REFERENCES `pattern`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`hook_material_id`) REFERENCES `material`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`home_compartment_id`) REFERENCES `compartment`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "variant_par" CHECK(par_count is null or par_count between 0 and 99)
);
--> statement-breakpoint
CREATE UNIQUE INDEX `variant_label` ON `variant` (`pattern_id`,`label_key`) WHERE archived_at_ms is null;--> statement-breakpoint
CREATE INDEX `variant_home` ON `variant` (`home_compartment_id`);--> statement-breakpoint
CREATE TABLE `variant_figure` (
	`variant_revision_id` text PRIMARY KEY NOT NULL,
	`input_hash` text NOT NULL,
	`kind` text NOT NULL,
	`mass_mg` real,
	`submerged_mg` real,
	`sink_speed_mm_per_s` real,
	`low` real,
	`high` real,
	`trailing_speed_mm_per_s` real,
	`posture` text,
	`body_length_mm` real,
	`body_hex_wet` text,
	`hook_size` real,
	`bill` text NOT NULL,
	`drawing` text,
	FOREIGN KEY (`variant_revision_id`) REFERENCES `variant_revision`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `variant_revision` (
	`id` text PRIMARY KEY NOT NULL,
	`variant_id` text NOT NULL,
	`dressing_id` text NOT NULL,
	`body` text NOT NULL,
	`content_hash` text NOT NULL,
	`created_at_ms` integer NOT NULL,
	FOREIGN KEY (`variant_id`) REFERENCES `variant`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`dressing_id`) REFERENCES `dressing`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `variant_revision_hash` ON `variant_revision` (`variant_id`,`content_hash`);--> statement-breakpoint
CREATE INDEX `revision_dressing` ON `variant_revision` (`dressing_id`);--> statement-breakpoint
CREATE TABLE `water` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`name_key` text NOT NULL,
	`kind` text NOT NULL,
	`latitude_deg` real NOT NULL,
	`longitude_deg` real NOT NULL,
	`time_zone` text NOT NULL,
	`clarity_mm` integer NOT NULL,
	`snagginess` real NOT NULL,
	`open_from_month_day` text,
	`open_to_month_day` text,
	`rules` text NOT NULL,
	`rules_note` text DEFAULT '' NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`archived_at_ms` integer
);
--> statement-breakpoint
CREATE UNIQUE INDEX `water_name` ON `water` (`name_key`) WHERE archived_at_ms is null;