ALTER TABLE `reading_day` ADD `shape` real DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `reading_day` ADD `shape_sq` real DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `reading_day` ADD `shape_temp_c` real DEFAULT 0 NOT NULL;--> statement-breakpoint
UPDATE `reading_day` SET (`shape`, `shape_sq`, `shape_temp_c`) = (
	SELECT avg(s.shape), avg(s.shape * s.shape), avg(s.shape * s.temp_c)
	FROM (
		SELECT cos(2 * pi() * (r.local_min - 1020) / 1440) AS shape, r.temp_c100 / 100.0 AS temp_c
		FROM reading r JOIN reading_import i ON i.id = r.import_id
		WHERE i.reach_id = reading_day.reach_id AND i.depth_mm = reading_day.depth_mm AND i.archived_at_ms IS NULL
			AND r.day = reading_day.day AND r.temp_c100 IS NOT NULL
	) s
);
