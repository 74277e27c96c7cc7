ALTER TABLE `reach` ADD `thermocline_mm` integer;--> statement-breakpoint
ALTER TABLE `water` ADD `ice_off_month_day` text;