CREATE TABLE `home_report` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`person_id` integer NOT NULL,
	`on` text NOT NULL,
	`item` text NOT NULL,
	`felt` text NOT NULL,
	`pain` text,
	`sign` text,
	FOREIGN KEY (`person_id`) REFERENCES `person`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `home_report_person` ON `home_report` (`person_id`);--> statement-breakpoint
CREATE TRIGGER `home_report_insert_revision` AFTER INSERT ON `home_report` BEGIN
	UPDATE `person` SET `revision` = `revision` + 1 WHERE `id` = NEW.`person_id`;
END;
--> statement-breakpoint
CREATE TRIGGER `home_report_delete_revision` AFTER DELETE ON `home_report` BEGIN
	UPDATE `person` SET `revision` = `revision` + 1 WHERE `id` = OLD.`person_id`;
END;
--> statement-breakpoint
CREATE TRIGGER `home_report_update_revision` AFTER UPDATE ON `home_report` BEGIN
	UPDATE `person` SET `revision` = `revision` + 1 WHERE `id` = NEW.`person_id`;
END;
