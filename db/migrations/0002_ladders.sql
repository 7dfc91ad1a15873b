CREATE TABLE `attendance` (
	`meeting_id` integer NOT NULL,
	`person_id` integer NOT NULL,
	`came` integer DEFAULT true NOT NULL,
	`note` text DEFAULT '' NOT NULL,
	PRIMARY KEY(`meeting_id`, `person_id`),
	FOREIGN KEY (`meeting_id`) REFERENCES `meeting`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`person_id`) REFERENCES `person`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `attendance_person` ON `attendance` (`person_id`);--> statement-breakpoint
CREATE TABLE `clearance` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`person_id` integer NOT NULL,
	`about` text NOT NULL,
	`covers` text NOT NULL,
	`ladders` text,
	`noted_on` text NOT NULL,
	`until` text NOT NULL,
	FOREIGN KEY (`person_id`) REFERENCES `person`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `clearance_person` ON `clearance` (`person_id`);--> statement-breakpoint
CREATE TABLE `decision` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`person_id` integer NOT NULL,
	`family` text NOT NULL,
	`stage` text NOT NULL,
	`made_on` text NOT NULL,
	`suggested` text NOT NULL,
	`grounds` text NOT NULL,
	`profile_key` text NOT NULL,
	`profile_version` integer NOT NULL,
	`decided` text NOT NULL,
	`reason` text DEFAULT '' NOT NULL,
	`corrects` integer,
	FOREIGN KEY (`person_id`) REFERENCES `person`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `decision_person` ON `decision` (`person_id`);--> statement-breakpoint
CREATE TABLE `meeting` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`course_id` integer NOT NULL,
	`date` text NOT NULL,
	`starts_at` text NOT NULL,
	`minutes` integer NOT NULL,
	`room` text DEFAULT '' NOT NULL,
	`family` text,
	`peak` text,
	FOREIGN KEY (`course_id`) REFERENCES `course`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `meeting_course_date` ON `meeting` (`course_id`,`date`);--> statement-breakpoint
CREATE TABLE `own_entry` (
	`key` text PRIMARY KEY NOT NULL,
	`kind` text NOT NULL,
	`spec` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `people_import` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`imported_on` text NOT NULL,
	`people` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `person_rung` (
	`person_id` integer NOT NULL,
	`family` text NOT NULL,
	`stage` text NOT NULL,
	`since` text NOT NULL,
	PRIMARY KEY(`person_id`, `family`),
	FOREIGN KEY (`person_id`) REFERENCES `person`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `profile_version` (
	`key` text NOT NULL,
	`version` integer NOT NULL,
	`label` text NOT NULL,
	`origin` text NOT NULL,
	`changes` text NOT NULL,
	`saved_on` text NOT NULL,
	`is_retired` integer DEFAULT false NOT NULL,
	PRIMARY KEY(`key`, `version`)
);
--> statement-breakpoint
CREATE TABLE `removed_person` (
	`mark` text PRIMARY KEY NOT NULL,
	`removed_on` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `stop_sign` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`person_id` integer NOT NULL,
	`sign` text NOT NULL,
	`date` text NOT NULL,
	FOREIGN KEY (`person_id`) REFERENCES `person`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `stop_sign_person` ON `stop_sign` (`person_id`);--> statement-breakpoint
ALTER TABLE `check_record` ADD `pain_place` text;--> statement-breakpoint
ALTER TABLE `course` ADD `weeks` integer DEFAULT 10 NOT NULL;--> statement-breakpoint
ALTER TABLE `person` ADD `uid` text DEFAULT '' NOT NULL;--> statement-breakpoint
UPDATE `person` SET `uid` = lower(hex(randomblob(16)));--> statement-breakpoint
ALTER TABLE `person` ADD `revision` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `person` ADD `screened_on` text;--> statement-breakpoint
ALTER TABLE `person` ADD `other_words` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `person` ADD `archived_on` text;--> statement-breakpoint
ALTER TABLE `person` ADD `import_id` integer;--> statement-breakpoint
CREATE UNIQUE INDEX `person_uid_unique` ON `person` (`uid`);--> statement-breakpoint
ALTER TABLE `settings` ADD `studio` text DEFAULT '' NOT NULL;