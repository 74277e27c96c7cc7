ALTER TABLE `variant_figure` DROP COLUMN `drawing`;--> statement-breakpoint
ALTER TABLE `variant_figure` ADD `sketch` text;
