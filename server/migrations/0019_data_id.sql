ALTER TABLE `setting` ADD `data_id` text DEFAULT '' NOT NULL;
--> statement-breakpoint
UPDATE `setting` SET `data_id` = lower(hex(randomblob(16))), `body` = json_set(`body`, '$.backupFolder', json('null'));
