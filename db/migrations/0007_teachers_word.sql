CREATE TABLE `person_placing` (
	`person_id` integer NOT NULL,
	`family` text NOT NULL,
	`stage` text,
	`on` text NOT NULL,
	PRIMARY KEY(`person_id`, `family`),
	FOREIGN KEY (`person_id`) REFERENCES `person`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TRIGGER `person_placing_insert_revision` AFTER INSERT ON `person_placing` BEGIN
	UPDATE `person` SET `revision` = `revision` + 1 WHERE `id` = NEW.`person_id`;
END;
--> statement-breakpoint
CREATE TRIGGER `person_placing_delete_revision` AFTER DELETE ON `person_placing` BEGIN
	UPDATE `person` SET `revision` = `revision` + 1 WHERE `id` = OLD.`person_id`;
END;
--> statement-breakpoint
CREATE TRIGGER `person_placing_update_revision` AFTER UPDATE ON `person_placing` BEGIN
	UPDATE `person` SET `revision` = `revision` + 1 WHERE `id` = NEW.`person_id`;
END;
