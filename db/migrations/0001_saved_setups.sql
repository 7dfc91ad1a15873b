CREATE TABLE `saved_setup` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`person_id` integer NOT NULL,
	`family` text NOT NULL,
	`values` text NOT NULL,
	`note` text DEFAULT '' NOT NULL,
	`saved_on` text NOT NULL,
	FOREIGN KEY (`person_id`) REFERENCES `person`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `saved_setup_person` ON `saved_setup` (`person_id`,`family`);