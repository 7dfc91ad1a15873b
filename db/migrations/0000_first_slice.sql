CREATE TABLE `check_record` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`person_id` integer NOT NULL,
	`check` text NOT NULL,
	`date` text NOT NULL,
	`value` real NOT NULL,
	`breaths` real,
	`stopped_by_teacher` integer DEFAULT false NOT NULL,
	`faults` text NOT NULL,
	`pain` integer DEFAULT false NOT NULL,
	`side` text,
	`base` text,
	FOREIGN KEY (`person_id`) REFERENCES `person`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `check_record_person` ON `check_record` (`person_id`,`check`,`date`);--> statement-breakpoint
CREATE TABLE `course` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`name` text NOT NULL,
	`place` text NOT NULL,
	`starts_on` text NOT NULL,
	`starts_at` text NOT NULL,
	`minutes` integer NOT NULL,
	`profile` text NOT NULL,
	`stage` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `cupboard` (
	`course_id` integer NOT NULL,
	`piece` text NOT NULL,
	`count` integer NOT NULL,
	PRIMARY KEY(`course_id`, `piece`),
	FOREIGN KEY (`course_id`) REFERENCES `course`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `enrolment` (
	`course_id` integer NOT NULL,
	`person_id` integer NOT NULL,
	PRIMARY KEY(`course_id`, `person_id`),
	FOREIGN KEY (`course_id`) REFERENCES `course`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`person_id`) REFERENCES `person`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `person` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`name` text NOT NULL,
	`height_m` real NOT NULL,
	`height_typed` text NOT NULL,
	`mass_kg` real,
	`consent` text DEFAULT 'ask' NOT NULL,
	`pain_cleared_on` text,
	`present_stage` text
);
--> statement-breakpoint
CREATE TABLE `person_caution` (
	`person_id` integer NOT NULL,
	`caution` text NOT NULL,
	`noted_on` text NOT NULL,
	PRIMARY KEY(`person_id`, `caution`),
	FOREIGN KEY (`person_id`) REFERENCES `person`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `person_length` (
	`person_id` integer NOT NULL,
	`length` text NOT NULL,
	`metres` real NOT NULL,
	`typed` text NOT NULL,
	PRIMARY KEY(`person_id`, `length`),
	FOREIGN KEY (`person_id`) REFERENCES `person`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `settings` (
	`id` integer PRIMARY KEY NOT NULL,
	`units` text DEFAULT 'cm' NOT NULL,
	`breath_seconds` real DEFAULT 5 NOT NULL
);
