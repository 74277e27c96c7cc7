-- Ledgers are append-only, and what is on hand is kept as their running sum.
CREATE TRIGGER `fly_entry_kept` BEFORE UPDATE ON `fly_entry` BEGIN SELECT RAISE(ABORT, 'ledger entries are never changed'); END;
--> statement-breakpoint
CREATE TRIGGER `fly_entry_stays` BEFORE DELETE ON `fly_entry` BEGIN SELECT RAISE(ABORT, 'ledger entries are never removed'); END;
--> statement-breakpoint
CREATE TRIGGER `material_entry_kept` BEFORE UPDATE ON `material_entry` BEGIN SELECT RAISE(ABORT, 'ledger entries are never changed'); END;
--> statement-breakpoint
CREATE TRIGGER `material_entry_stays` BEFORE DELETE ON `material_entry` BEGIN SELECT RAISE(ABORT, 'ledger entries are never removed'); END;
--> statement-breakpoint
CREATE TRIGGER `fly_entry_sums` AFTER INSERT ON `fly_entry` BEGIN
  INSERT INTO `fly_balance` (`compartment_id`, `variant_revision_id`, `count`) VALUES (NEW.`compartment_id`, NEW.`variant_revision_id`, 0)
    ON CONFLICT DO NOTHING;
  UPDATE `fly_balance` SET `count` = `count` + NEW.`delta`
    WHERE `compartment_id` = NEW.`compartment_id` AND `variant_revision_id` = NEW.`variant_revision_id`;
END;
--> statement-breakpoint
CREATE TRIGGER `material_entry_sums` AFTER INSERT ON `material_entry` BEGIN
  INSERT INTO `material_balance` (`material_id`, `amount`) VALUES (NEW.`material_id`, 0) ON CONFLICT DO NOTHING;
  UPDATE `material_balance` SET `amount` = `amount` + NEW.`delta` WHERE `material_id` = NEW.`material_id`;
END;
--> statement-breakpoint
CREATE TRIGGER `dressing_kept` BEFORE UPDATE ON `dressing` BEGIN SELECT RAISE(ABORT, 'a dressing is never changed, a new revision is made'); END;
--> statement-breakpoint
CREATE TRIGGER `variant_revision_kept` BEFORE UPDATE ON `variant_revision` BEGIN SELECT RAISE(ABORT, 'a recipe as tied is never changed'); END;
--> statement-breakpoint
CREATE VIRTUAL TABLE `search_text` USING fts5(`kind` UNINDEXED, `subject_id` UNINDEXED, `title`, `detail`, tokenize = 'unicode61 remove_diacritics 2', prefix = '2 3');
--> statement-breakpoint
CREATE TRIGGER `search_pattern_insert` AFTER INSERT ON `pattern` BEGIN
  DELETE FROM `search_text` WHERE `subject_id` = NEW.`id`;
  INSERT INTO `search_text` (`kind`, `subject_id`, `title`, `detail`) SELECT 'pattern', NEW.`id`, NEW.`name`, NEW.`note` WHERE NEW.`archived_at_ms` IS NULL;
END;
--> statement-breakpoint
CREATE TRIGGER `search_pattern_update` AFTER UPDATE ON `pattern` BEGIN
  DELETE FROM `search_text` WHERE `subject_id` = NEW.`id`;
  INSERT INTO `search_text` (`kind`, `subject_id`, `title`, `detail`) SELECT 'pattern', NEW.`id`, NEW.`name`, NEW.`note` WHERE NEW.`archived_at_ms` IS NULL;
END;
--> statement-breakpoint
CREATE TRIGGER `search_pattern_delete` AFTER DELETE ON `pattern` BEGIN DELETE FROM `search_text` WHERE `subject_id` = OLD.`id`; END;
--> statement-breakpoint
CREATE TRIGGER `search_water_insert` AFTER INSERT ON `water` BEGIN
  DELETE FROM `search_text` WHERE `subject_id` = NEW.`id`;
  INSERT INTO `search_text` (`kind`, `subject_id`, `title`, `detail`) SELECT 'water', NEW.`id`, NEW.`name`, NEW.`rules_note` WHERE NEW.`archived_at_ms` IS NULL;
END;
--> statement-breakpoint
CREATE TRIGGER `search_water_update` AFTER UPDATE ON `water` BEGIN
  DELETE FROM `search_text` WHERE `subject_id` = NEW.`id`;
  INSERT INTO `search_text` (`kind`, `subject_id`, `title`, `detail`) SELECT 'water', NEW.`id`, NEW.`name`, NEW.`rules_note` WHERE NEW.`archived_at_ms` IS NULL;
END;
--> statement-breakpoint
CREATE TRIGGER `search_water_delete` AFTER DELETE ON `water` BEGIN DELETE FROM `search_text` WHERE `subject_id` = OLD.`id`; END;
--> statement-breakpoint
CREATE TRIGGER `search_box_insert` AFTER INSERT ON `box` BEGIN
  DELETE FROM `search_text` WHERE `subject_id` = NEW.`id`;
  INSERT INTO `search_text` (`kind`, `subject_id`, `title`, `detail`) SELECT 'box', NEW.`id`, NEW.`name`, NEW.`note` WHERE NEW.`archived_at_ms` IS NULL;
END;
--> statement-breakpoint
CREATE TRIGGER `search_box_update` AFTER UPDATE ON `box` BEGIN
  DELETE FROM `search_text` WHERE `subject_id` = NEW.`id`;
  INSERT INTO `search_text` (`kind`, `subject_id`, `title`, `detail`) SELECT 'box', NEW.`id`, NEW.`name`, NEW.`note` WHERE NEW.`archived_at_ms` IS NULL;
END;
--> statement-breakpoint
CREATE TRIGGER `search_box_delete` AFTER DELETE ON `box` BEGIN DELETE FROM `search_text` WHERE `subject_id` = OLD.`id`; END;
--> statement-breakpoint
CREATE TRIGGER `search_material_insert` AFTER INSERT ON `material` BEGIN
  DELETE FROM `search_text` WHERE `subject_id` = NEW.`id`;
  INSERT INTO `search_text` (`kind`, `subject_id`, `title`, `detail`) SELECT 'material', NEW.`id`, (SELECT `name` FROM `family` WHERE `id` = NEW.`family_id`) || ' ' || NEW.`size_key`, NEW.`colour_name` WHERE NEW.`archived_at_ms` IS NULL;
END;
--> statement-breakpoint
CREATE TRIGGER `search_material_update` AFTER UPDATE ON `material` BEGIN
  DELETE FROM `search_text` WHERE `subject_id` = NEW.`id`;
  INSERT INTO `search_text` (`kind`, `subject_id`, `title`, `detail`) SELECT 'material', NEW.`id`, (SELECT `name` FROM `family` WHERE `id` = NEW.`family_id`) || ' ' || NEW.`size_key`, NEW.`colour_name` WHERE NEW.`archived_at_ms` IS NULL;
END;
--> statement-breakpoint
CREATE TRIGGER `search_material_delete` AFTER DELETE ON `material` BEGIN DELETE FROM `search_text` WHERE `subject_id` = OLD.`id`; END;
--> statement-breakpoint
CREATE TRIGGER `search_food_stage_insert` AFTER INSERT ON `food_stage` BEGIN
  DELETE FROM `search_text` WHERE `subject_id` = NEW.`id`;
  INSERT INTO `search_text` (`kind`, `subject_id`, `title`, `detail`) SELECT 'foodStage', NEW.`id`, (SELECT `name` FROM `food` WHERE `id` = NEW.`food_id`) || ', ' || NEW.`stage_name`, '' WHERE NEW.`archived_at_ms` IS NULL;
END;
--> statement-breakpoint
CREATE TRIGGER `search_food_stage_update` AFTER UPDATE ON `food_stage` BEGIN
  DELETE FROM `search_text` WHERE `subject_id` = NEW.`id`;
  INSERT INTO `search_text` (`kind`, `subject_id`, `title`, `detail`) SELECT 'foodStage', NEW.`id`, (SELECT `name` FROM `food` WHERE `id` = NEW.`food_id`) || ', ' || NEW.`stage_name`, '' WHERE NEW.`archived_at_ms` IS NULL;
END;
--> statement-breakpoint
CREATE TRIGGER `search_food_stage_delete` AFTER DELETE ON `food_stage` BEGIN DELETE FROM `search_text` WHERE `subject_id` = OLD.`id`; END;
