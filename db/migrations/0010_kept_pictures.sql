CREATE TABLE `person_picture` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`uid` text NOT NULL,
	`person_id` integer NOT NULL,
	`on` text NOT NULL,
	`width` integer NOT NULL,
	`height` integer NOT NULL,
	`sheet` text NOT NULL,
	`jpeg` blob,
	FOREIGN KEY (`person_id`) REFERENCES `person`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `person_picture_uid_unique` ON `person_picture` (`uid`);--> statement-breakpoint
CREATE INDEX `person_picture_person` ON `person_picture` (`person_id`);--> statement-breakpoint
ALTER TABLE `person` ADD `picture_consent` text DEFAULT 'no' NOT NULL;--> statement-breakpoint
CREATE TRIGGER `person_picture_insert_consent` AFTER INSERT ON `person_picture`
WHEN NEW.`jpeg` IS NOT NULL AND (
	(SELECT `picture_consent` FROM `person` WHERE `id` = NEW.`person_id`) = 'no'
	OR EXISTS (SELECT 1 FROM `person_caution` WHERE `person_id` = NEW.`person_id` AND `caution` = 'under-16')
) BEGIN
	UPDATE `person_picture` SET `jpeg` = NULL WHERE `id` = NEW.`id`;
END;
--> statement-breakpoint
CREATE TRIGGER `person_picture_move_consent` AFTER UPDATE OF `person_id` ON `person_picture`
WHEN NEW.`jpeg` IS NOT NULL AND (
	(SELECT `picture_consent` FROM `person` WHERE `id` = NEW.`person_id`) = 'no'
	OR EXISTS (SELECT 1 FROM `person_caution` WHERE `person_id` = NEW.`person_id` AND `caution` = 'under-16')
) BEGIN
	UPDATE `person_picture` SET `jpeg` = NULL WHERE `id` = NEW.`id`;
END;
--> statement-breakpoint
CREATE TRIGGER `person_picture_refused` AFTER UPDATE OF `picture_consent` ON `person`
WHEN NEW.`picture_consent` = 'no' BEGIN
	UPDATE `person_picture` SET `jpeg` = NULL WHERE `person_id` = NEW.`id`;
END;
--> statement-breakpoint
CREATE TRIGGER `person_picture_under_16` AFTER INSERT ON `person_caution`
WHEN NEW.`caution` = 'under-16' BEGIN
	UPDATE `person_picture` SET `jpeg` = NULL WHERE `person_id` = NEW.`person_id`;
	UPDATE `person` SET `picture_consent` = 'no' WHERE `id` = NEW.`person_id`;
END;
