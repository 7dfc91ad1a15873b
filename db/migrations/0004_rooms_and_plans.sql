CREATE TABLE `class_plan` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`course_id` integer NOT NULL,
	`day` text NOT NULL,
	`wishes` text NOT NULL,
	`plan` text,
	`revision` integer DEFAULT 1 NOT NULL,
	FOREIGN KEY (`course_id`) REFERENCES `course`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `class_plan_course_day` ON `class_plan` (`course_id`,`day`);--> statement-breakpoint
CREATE TABLE `own_piece` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`label` text NOT NULL,
	`kind` text NOT NULL,
	`length_m` real NOT NULL,
	`width_m` real NOT NULL,
	`thickness_m` real NOT NULL,
	`loaded_m` real NOT NULL,
	`is_firm` integer NOT NULL,
	`stands_on_edge` integer NOT NULL,
	`refolds` integer NOT NULL,
	`stacks` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `room` (
	`course_id` integer PRIMARY KEY NOT NULL,
	`file` text NOT NULL,
	FOREIGN KEY (`course_id`) REFERENCES `course`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
ALTER TABLE `cupboard` ADD `worn` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
-- Plans name people by id; a plan that names somebody who is gone goes as well, also in copies.
CREATE TRIGGER `person_gone_from_plans` AFTER DELETE ON `person` BEGIN
  DELETE FROM `class_plan`
  WHERE instr(`wishes` || coalesce(`plan`, ''), '"' || OLD.`id` || '"') > 0;
END;
