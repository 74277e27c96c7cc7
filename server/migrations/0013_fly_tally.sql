CREATE TABLE `fly_tally` (
	`variant_revision_id` text NOT NULL,
	`cause` text NOT NULL,
	`loss_cause` text NOT NULL,
	`count` integer NOT NULL,
	`last_at_ms` integer NOT NULL,
	PRIMARY KEY(`variant_revision_id`, `cause`, `loss_cause`)
);
--> statement-breakpoint
INSERT INTO `fly_tally` (`variant_revision_id`, `cause`, `loss_cause`, `count`, `last_at_ms`)
  SELECT `variant_revision_id`, `cause`, coalesce(`loss_cause`, ''), sum(`delta`), max(`at_ms`) FROM `fly_entry` GROUP BY 1, 2, 3;
--> statement-breakpoint
CREATE TRIGGER `fly_entry_tallies` AFTER INSERT ON `fly_entry` BEGIN
  INSERT INTO `fly_tally` (`variant_revision_id`, `cause`, `loss_cause`, `count`, `last_at_ms`)
    VALUES (NEW.`variant_revision_id`, NEW.`cause`, coalesce(NEW.`loss_cause`, ''), NEW.`delta`, NEW.`at_ms`)
    ON CONFLICT DO UPDATE SET `count` = `count` + NEW.`delta`, `last_at_ms` = max(`last_at_ms`, NEW.`at_ms`);
END;
