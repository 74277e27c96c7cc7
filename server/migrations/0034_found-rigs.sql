ALTER TABLE `rig` ADD `knots_on` text;--> statement-breakpoint
UPDATE `water` SET `rules` = json_set(`rules`, '$.maxLeaderMm', json('null'));--> statement-breakpoint
CREATE TRIGGER `search_rig_insert` AFTER INSERT ON `rig` BEGIN
  DELETE FROM `search_text` WHERE `subject_id` = NEW.`id`;
  INSERT INTO `search_text` (`kind`, `subject_id`, `title`, `detail`) SELECT 'rig', NEW.`id`, NEW.`name`, NEW.`note` WHERE NEW.`archived_at_ms` IS NULL;
END;
--> statement-breakpoint
CREATE TRIGGER `search_rig_update` AFTER UPDATE ON `rig` BEGIN
  DELETE FROM `search_text` WHERE `subject_id` = NEW.`id`;
  INSERT INTO `search_text` (`kind`, `subject_id`, `title`, `detail`) SELECT 'rig', NEW.`id`, NEW.`name`, NEW.`note` WHERE NEW.`archived_at_ms` IS NULL;
END;
--> statement-breakpoint
CREATE TRIGGER `search_rig_delete` AFTER DELETE ON `rig` BEGIN DELETE FROM `search_text` WHERE `subject_id` = OLD.`id`; END;
--> statement-breakpoint
INSERT INTO `search_text` (`kind`, `subject_id`, `title`, `detail`) SELECT 'rig', `id`, `name`, `note` FROM `rig` WHERE `archived_at_ms` IS NULL;
