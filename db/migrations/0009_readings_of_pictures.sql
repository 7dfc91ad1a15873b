ALTER TABLE `check_record` ADD `read_by` text;--> statement-breakpoint
ALTER TABLE `check_record` ADD `measure` text;--> statement-breakpoint
ALTER TABLE `check_record` ADD `reading_error` real;