ALTER TABLE `variant_figure` ADD `drawing_key` text;--> statement-breakpoint
CREATE INDEX `figure_drawing` ON `variant_figure` (`drawing_key`);