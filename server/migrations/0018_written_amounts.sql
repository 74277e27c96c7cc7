-- A recipe as tied is never changed, but for the way it is written down: a later schemaVersion may take an earlier one's place.
DROP TRIGGER `dressing_kept`;
--> statement-breakpoint
CREATE TRIGGER `dressing_kept` BEFORE UPDATE ON `dressing`
  WHEN json_extract(NEW.`body`, '$.schemaVersion') <= json_extract(OLD.`body`, '$.schemaVersion')
  BEGIN SELECT RAISE(ABORT, 'a dressing is never changed, a new revision is made'); END;
--> statement-breakpoint
DROP TRIGGER `variant_revision_kept`;
--> statement-breakpoint
CREATE TRIGGER `variant_revision_kept` BEFORE UPDATE ON `variant_revision`
  WHEN json_extract(NEW.`body`, '$.schemaVersion') <= json_extract(OLD.`body`, '$.schemaVersion')
  BEGIN SELECT RAISE(ABORT, 'a recipe as tied is never changed'); END;
