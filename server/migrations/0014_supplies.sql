CREATE TABLE `photo` (
	`id` text PRIMARY KEY NOT NULL,
	`mime` text NOT NULL,
	`bytes` blob NOT NULL,
	`width_px` integer NOT NULL,
	`height_px` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `packing` (
	`id` text PRIMARY KEY NOT NULL,
	`outing_id` text NOT NULL,
	`variant_revision_id` text NOT NULL,
	`from_compartment_id` text NOT NULL,
	`to_compartment_id` text NOT NULL,
	`count` integer NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`archived_at_ms` integer,
	FOREIGN KEY (`outing_id`) REFERENCES `outing`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`variant_revision_id`) REFERENCES `variant_revision`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`from_compartment_id`) REFERENCES `compartment`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`to_compartment_id`) REFERENCES `compartment`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "packing_count" CHECK(count > 0)
);
--> statement-breakpoint
CREATE INDEX `packing_outing` ON `packing` (`outing_id`);--> statement-breakpoint
CREATE TABLE `purchase` (
	`id` text PRIMARY KEY NOT NULL,
	`status` text NOT NULL,
	`ordered_at_ms` integer NOT NULL,
	`supplier` text DEFAULT '' NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`archived_at_ms` integer
);
--> statement-breakpoint
CREATE TABLE `purchase_line` (
	`id` text PRIMARY KEY NOT NULL,
	`purchase_id` text NOT NULL,
	`material_id` text NOT NULL,
	`pack_amount` integer NOT NULL,
	`packs` integer NOT NULL,
	`arrived_packs` integer DEFAULT 0 NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`archived_at_ms` integer,
	FOREIGN KEY (`purchase_id`) REFERENCES `purchase`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`material_id`) REFERENCES `material`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "purchase_line_packs" CHECK(packs > 0 and arrived_packs >= 0 and pack_amount > 0)
);
--> statement-breakpoint
CREATE INDEX `purchase_line_purchase` ON `purchase_line` (`purchase_id`);--> statement-breakpoint
ALTER TABLE `batch` ADD `photo_id` text REFERENCES photo(id);--> statement-breakpoint
ALTER TABLE `material` ADD `photo_id` text REFERENCES photo(id);