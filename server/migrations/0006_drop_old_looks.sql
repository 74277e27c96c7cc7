ALTER TABLE `variant_figure` DROP COLUMN `body_length_mm`;--> statement-breakpoint
ALTER TABLE `variant_figure` DROP COLUMN `body_hex_wet`;