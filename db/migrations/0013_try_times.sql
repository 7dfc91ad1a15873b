ALTER TABLE `attempt` ADD `lift_s` real;--> statement-breakpoint
ALTER TABLE `attempt` ADD `exit_s` real;