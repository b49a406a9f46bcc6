-- to: postgresql oracle
CREATE TABLE IF NOT EXISTS `dome` (
  `dome_id` smallint unsigned NOT NULL AUTO_INCREMENT,
  `name` varchar(40) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL COMMENT 'its name',
  `opened` timestamp NOT NULL DEFAULT CURRENT_TIMESTAMP ON UPDATE CURRENT_TIMESTAMP,
  `height` decimal(5,2) unsigned DEFAULT '0.00',
  `kind` enum('round','slit') NOT NULL DEFAULT 'round',
  `tags` set('a','b','c') DEFAULT NULL,
  `active` tinyint(1) NOT NULL DEFAULT '1',
  `area` decimal(10,4) GENERATED ALWAYS AS (`height` * `height`) STORED,
  `doc` json DEFAULT NULL,
  `made` year DEFAULT NULL,
  `mask` bit(4) NOT NULL DEFAULT b'101',
  PRIMARY KEY (`dome_id`),
  UNIQUE KEY `uk_name` (`name`),
  KEY `ix_opened` (`opened` DESC),
  KEY `ix_prefix` (`name`(10)),
  CONSTRAINT `ck_height` CHECK (`height` < 99)
) ENGINE=InnoDB AUTO_INCREMENT=17 DEFAULT CHARSET=utf8mb4 COMMENT='Domes';
CREATE TABLE lamp (
  dome_id smallint unsigned NOT NULL,
  lamp_no int NOT NULL,
  watts double DEFAULT NULL,
  bought datetime(3) DEFAULT NULL,
  photo mediumblob,
  remark text,
  PRIMARY KEY (dome_id, lamp_no),
  CONSTRAINT fk_lamp_dome FOREIGN KEY (dome_id) REFERENCES dome (dome_id) ON DELETE CASCADE ON UPDATE RESTRICT
) ENGINE=InnoDB;
ALTER TABLE lamp ADD COLUMN note varchar(200) DEFAULT 'none' AFTER lamp_no, ADD INDEX ix_watts (watts), ADD UNIQUE KEY uk_bought (bought);
ALTER TABLE lamp MODIFY note varchar(400) NOT NULL, CHANGE remark remarks text, DROP INDEX ix_watts;
ALTER TABLE lamp ALTER COLUMN watts SET DEFAULT 5, ALTER note DROP DEFAULT;
ALTER TABLE lamp DROP FOREIGN KEY fk_lamp_dome, DROP PRIMARY KEY, ADD PRIMARY KEY (lamp_no, dome_id);
ALTER TABLE lamp RENAME COLUMN remarks TO remark, RENAME INDEX uk_bought TO uk_when;
ALTER TABLE lamp ADD CONSTRAINT fk_again FOREIGN KEY (dome_id) REFERENCES dome (dome_id);
ALTER TABLE dome AUTO_INCREMENT = 100, COMMENT = 'All domes';
CREATE INDEX ix_note ON lamp (note(20), lamp_no);
DROP INDEX ix_note ON lamp;
RENAME TABLE lamp TO lamps;
CREATE TABLE dome_like LIKE dome;
CREATE TABLE dome_copy AS SELECT dome_id, name FROM dome WHERE 1 = 0;
CREATE TEMPORARY TABLE tally (n int, label varchar(10));
CREATE OR REPLACE ALGORITHM=MERGE SQL SECURITY INVOKER VIEW lamp_view (dome, lamps) AS SELECT dome_id, COUNT(*) FROM lamps GROUP BY dome_id;
DROP VIEW IF EXISTS lamp_view;
TRUNCATE lamps;
DROP TABLE IF EXISTS dome_like, dome_copy;
