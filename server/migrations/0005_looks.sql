ALTER TABLE `variant_figure` ADD `look` text;--> statement-breakpoint
UPDATE `setting` SET `body` = json_set(`body`, '$.school', 'sizeAndStage') WHERE json_extract(`body`, '$.school') IS NULL;
