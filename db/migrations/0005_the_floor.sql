CREATE TABLE `attempt` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`person_id` integer NOT NULL,
	`class_id` integer,
	`origin_key` text,
	`date` text NOT NULL,
	`what` text NOT NULL,
	`stage` text,
	`base` text,
	`leg` text,
	`reached` integer NOT NULL,
	`blocks_kept` integer,
	`landing` text,
	`is_assisted` integer DEFAULT false NOT NULL,
	FOREIGN KEY (`person_id`) REFERENCES `person`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`class_id`) REFERENCES `floor_class`(`id`) ON UPDATE no action ON DELETE set null
);
--> statement-breakpoint
CREATE UNIQUE INDEX `attempt_origin` ON `attempt` (`class_id`,`origin_key`);--> statement-breakpoint
CREATE INDEX `attempt_person` ON `attempt` (`person_id`,`date`);--> statement-breakpoint
CREATE TABLE `device` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`name` text NOT NULL,
	`role` text NOT NULL,
	`token_mark` text NOT NULL,
	`added_on` text NOT NULL,
	`seen_ms` integer
);
--> statement-breakpoint
CREATE UNIQUE INDEX `device_token_mark_unique` ON `device` (`token_mark`);--> statement-breakpoint
CREATE TABLE `floor_class` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`uid` text NOT NULL,
	`course_id` integer NOT NULL,
	`day` text NOT NULL,
	`started_ms` integer NOT NULL,
	`ended_ms` integer,
	`bundle` text NOT NULL,
	FOREIGN KEY (`course_id`) REFERENCES `course`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `floor_class_uid_unique` ON `floor_class` (`uid`);--> statement-breakpoint
CREATE UNIQUE INDEX `floor_class_course_day` ON `floor_class` (`course_id`,`day`);--> statement-breakpoint
CREATE TABLE `floor_tap` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`class_id` integer NOT NULL,
	`device` text NOT NULL,
	`seq` integer NOT NULL,
	`kind` text NOT NULL,
	`payload` text NOT NULL,
	FOREIGN KEY (`class_id`) REFERENCES `floor_class`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `floor_tap_name` ON `floor_tap` (`class_id`,`device`,`seq`);--> statement-breakpoint
CREATE INDEX `floor_tap_class` ON `floor_tap` (`class_id`,`id`);--> statement-breakpoint
CREATE TABLE `pain_report` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`person_id` integer NOT NULL,
	`class_id` integer,
	`origin_key` text,
	`place` text NOT NULL,
	`date` text NOT NULL,
	FOREIGN KEY (`person_id`) REFERENCES `person`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`class_id`) REFERENCES `floor_class`(`id`) ON UPDATE no action ON DELETE set null
);
--> statement-breakpoint
CREATE UNIQUE INDEX `pain_report_origin` ON `pain_report` (`class_id`,`origin_key`);--> statement-breakpoint
CREATE INDEX `pain_report_person` ON `pain_report` (`person_id`);--> statement-breakpoint
CREATE TABLE `pairing` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`code_mark` text NOT NULL,
	`role` text NOT NULL,
	`expires_ms` integer NOT NULL,
	`tries` integer DEFAULT 0 NOT NULL
);
--> statement-breakpoint
CREATE TABLE `review` (
	`class_id` integer NOT NULL,
	`person_id` integer NOT NULL,
	`done_on` text NOT NULL,
	`decision_id` integer,
	PRIMARY KEY(`class_id`, `person_id`),
	FOREIGN KEY (`class_id`) REFERENCES `floor_class`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`person_id`) REFERENCES `person`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`decision_id`) REFERENCES `decision`(`id`) ON UPDATE no action ON DELETE set null
);
--> statement-breakpoint
CREATE TABLE `upside_time` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`person_id` integer NOT NULL,
	`class_id` integer,
	`date` text NOT NULL,
	`seconds` real NOT NULL,
	FOREIGN KEY (`person_id`) REFERENCES `person`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`class_id`) REFERENCES `floor_class`(`id`) ON UPDATE no action ON DELETE set null
);
--> statement-breakpoint
CREATE UNIQUE INDEX `upside_time_class` ON `upside_time` (`class_id`,`person_id`);--> statement-breakpoint
CREATE INDEX `upside_time_person` ON `upside_time` (`person_id`,`date`);--> statement-breakpoint
ALTER TABLE `check_record` ADD `class_id` integer REFERENCES floor_class(id) ON DELETE SET NULL;--> statement-breakpoint
ALTER TABLE `check_record` ADD `origin_key` text;--> statement-breakpoint
CREATE UNIQUE INDEX `check_record_origin` ON `check_record` (`class_id`,`origin_key`);--> statement-breakpoint
ALTER TABLE `settings` ADD `scale_address` text;--> statement-breakpoint
ALTER TABLE `stop_sign` ADD `class_id` integer REFERENCES floor_class(id) ON DELETE SET NULL;--> statement-breakpoint
ALTER TABLE `stop_sign` ADD `origin_key` text;--> statement-breakpoint
CREATE UNIQUE INDEX `stop_sign_origin` ON `stop_sign` (`class_id`,`origin_key`);
--> statement-breakpoint
CREATE TRIGGER `pain_report_insert_revision` AFTER INSERT ON `pain_report` BEGIN
	UPDATE `person` SET `revision` = `revision` + 1 WHERE `id` = NEW.`person_id`;
END;
--> statement-breakpoint
CREATE TRIGGER `pain_report_delete_revision` AFTER DELETE ON `pain_report` BEGIN
	UPDATE `person` SET `revision` = `revision` + 1 WHERE `id` = OLD.`person_id`;
END;
--> statement-breakpoint
CREATE TRIGGER `pain_report_update_revision` AFTER UPDATE ON `pain_report` BEGIN
	UPDATE `person` SET `revision` = `revision` + 1 WHERE `id` = NEW.`person_id`;
END;
