ALTER TABLE `material` ADD `overrides` text DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE `material` ADD `price_minor` integer;--> statement-breakpoint
ALTER TABLE `material` ADD `lead_time_days` integer;--> statement-breakpoint
ALTER TABLE `material` ADD `supplier` text DEFAULT '' NOT NULL;--> statement-breakpoint
UPDATE `setting` SET `body` = json_set(`body`, '$.hookSteps', 'wholeSizes', '$.weightCode', json('null'));
