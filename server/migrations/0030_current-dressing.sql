ALTER TABLE `pattern` ADD `current_dressing_id` text;--> statement-breakpoint
UPDATE `pattern` SET `current_dressing_id` = (
  SELECT `id` FROM `dressing` WHERE `dressing`.`pattern_id` = `pattern`.`id` ORDER BY `revision` DESC LIMIT 1
);
