DROP INDEX `material_drawer`;--> statement-breakpoint
CREATE UNIQUE INDEX `material_drawer` ON `material` (`family_id`,`size_key`,`colour_key`) WHERE archived_at_ms is null;