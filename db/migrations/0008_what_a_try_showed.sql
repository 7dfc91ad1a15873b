ALTER TABLE `attempt` ADD `way_up` text;--> statement-breakpoint
ALTER TABLE `attempt` ADD `support` text;--> statement-breakpoint
ALTER TABLE `attempt` ADD `faults` text DEFAULT '[]' NOT NULL;