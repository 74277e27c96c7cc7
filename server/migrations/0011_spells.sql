CREATE TABLE `spell` (
	`id` text PRIMARY KEY NOT NULL,
	`outing_id` text NOT NULL,
	`variant_id` text NOT NULL,
	`minutes` integer NOT NULL,
	`takes` integer NOT NULL,
	`refusals` integer NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`archived_at_ms` integer,
	FOREIGN KEY (`outing_id`) REFERENCES `outing`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`variant_id`) REFERENCES `variant`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "spell_counts" CHECK(minutes > 0 and takes >= 0 and refusals >= 0)
);
--> statement-breakpoint
CREATE INDEX `spell_outing` ON `spell` (`outing_id`);--> statement-breakpoint
CREATE INDEX `spell_variant` ON `spell` (`variant_id`);