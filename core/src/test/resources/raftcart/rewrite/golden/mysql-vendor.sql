-- to: postgresql mariadb
-- Dump 10.19  Distrib 10.3.39
/*!40101 SET @OLD_CHARACTER_SET_CLIENT=@@CHARACTER_SET_CLIENT */;
/*!40101 SET NAMES utf8mb4 */;
/*!40103 SET @OLD_TIME_ZONE=@@TIME_ZONE */;
/*!40103 SET TIME_ZONE='+00:00' */;
/*!40014 SET @OLD_UNIQUE_CHECKS=@@UNIQUE_CHECKS, UNIQUE_CHECKS=0 */;
/*!40014 SET @OLD_FOREIGN_KEY_CHECKS=@@FOREIGN_KEY_CHECKS, FOREIGN_KEY_CHECKS=0 */;
/*!40101 SET @OLD_SQL_MODE=@@SQL_MODE, SQL_MODE='NO_AUTO_VALUE_ON_ZERO' */;
SET SQL_MODE=@OLD_SQL_MODE;
DROP SCHEMA IF EXISTS obs;
CREATE DATABASE /*!32312 IF NOT EXISTS*/ `obs` /*!40100 DEFAULT CHARACTER SET latin1 COLLATE latin1_swedish_ci */;
USE `obs`;
SELECT 'CREATING DATABASE STRUCTURE' as 'INFO';
DROP TABLE IF EXISTS a, b, c;
/*!50503 set default_storage_engine = InnoDB */;
/*!50503 select CONCAT('storage engine: ', @@default_storage_engine) as INFO */;
DROP TABLE IF EXISTS `star`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8 */;
CREATE TABLE `star` (
  `star_id` smallint(5) unsigned NOT NULL AUTO_INCREMENT,
  `first_name` varchar(45) NOT NULL,
  `kind` enum('G','K','K-2','M','S-17') DEFAULT 'G',
  `feat` set('Dark','Flat','Deep Sky') DEFAULT NULL,
  `y` year(4) DEFAULT NULL,
  `rate` decimal(4,2) NOT NULL DEFAULT 4.99,
  `active` tinyint(1) NOT NULL DEFAULT 1,
  `pic` blob,
  `loc` geometry NOT NULL /*!80003 SRID 0 */,
  `g` POINT,
  `j` json DEFAULT NULL,
  `lt` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin DEFAULT NULL CHECK (json_valid(`lt`)),
  `b` bit(1) DEFAULT b'0',
  `b8` bit(8) DEFAULT NULL,
  `big` bigint(20) unsigned DEFAULT NULL,
  `mi` mediumint(8) unsigned zerofill DEFAULT NULL,
  `f` float(7,4) DEFAULT NULL,
  `dp` double precision,
  `t3` time(3),
  `dt` datetime DEFAULT '0000-00-00 00:00:00',
  `cr` datetime(6) NOT NULL DEFAULT current_timestamp(6),
  `last_update` timestamp NOT NULL DEFAULT current_timestamp() ON UPDATE current_timestamp(),
  `vg` int(11) GENERATED ALWAYS AS (`star_id` + 1) VIRTUAL,
  `sg` varchar(90) GENERATED ALWAYS AS (concat(`first_name`,' ',`kind`)) STORED,
  `c1` varchar(20) CHARACTER SET latin1 COLLATE latin1_bin DEFAULT '' COMMENT 'it''s a comment; with \'quotes\'',
  `nat` national varchar(10),
  `bin` binary(16), `vb` varbinary(20),
  PRIMARY KEY (`star_id`),
  UNIQUE KEY `uk_fn` (`first_name`,`kind`),
  KEY `idx_last` (`last_update`),
  KEY `idx_pref` (`c1`(10),`rate` DESC),
  KEY `fx` ((lower(`first_name`))),
  FULLTEXT KEY `idx_title` (`first_name`,`c1`),
  SPATIAL KEY `idx_loc` (`loc`),
  KEY `idx_h` (`rate`) USING HASH COMMENT 'hash' ,
  CONSTRAINT `fk_site` FOREIGN KEY (`site_id`) REFERENCES `site` (`site_id`) ON UPDATE CASCADE,
  CONSTRAINT `ck` CHECK ((`rate` > 0))
) ENGINE=InnoDB AUTO_INCREMENT=201 DEFAULT CHARSET=utf8mb3 COLLATE=utf8mb3_general_ci ROW_FORMAT=DYNAMIC COMMENT='Stars; all';
/*!40101 SET character_set_client = @saved_cs_client */;
LOCK TABLES `star` WRITE;
/*!40000 ALTER TABLE `star` DISABLE KEYS */;
INSERT INTO `star` (`star_id`,`first_name`,`pic`,`loc`,`b`) VALUES (1,'WR\'EN\n\\',_binary '\0\0\0',0x00000000010100000063,b'1'),(2,'x\"y','',/*!50705 0x0000000001010000 */,'\0');
INSERT INTO `star` VALUES (1,"double \"q\"",'G'),(3,'a',NULL);
/*!40000 ALTER TABLE `star` ENABLE KEYS */;
UNLOCK TABLES;
INSERT IGNORE INTO star (star_id) VALUES (1);
SET AUTOCOMMIT=0;
COMMIT;
--
-- Temporary table structure for view `v`
--
DROP TABLE IF EXISTS `v`;
/*!50001 DROP VIEW IF EXISTS `v`*/;
SET @saved_cs_client     = @@character_set_client;
SET character_set_client = utf8;
/*!50001 CREATE VIEW `v` AS SELECT
 1 AS `ID`,
 1 AS `name`*/;
/*!50001 CREATE TABLE `v2` (
  `id` tinyint NOT NULL
) ENGINE=MyISAM */;
/*!50001 DROP VIEW IF EXISTS `v`*/;
/*!50001 CREATE ALGORITHM=UNDEFINED */
/*!50013 DEFINER=`root`@`localhost` SQL SECURITY DEFINER */
/*!50001 VIEW `v` AS select `s`.`star_id` AS `ID`,concat(`s`.`first_name`,_utf8mb4' ',`s`.`kind`) AS `name`,if(`s`.`active`,_utf8mb4'active',_utf8mb4'') AS `notes`, group_concat(distinct concat(`c`.`name`,': ',(select group_concat(`f`.`title` order by `f`.`title` ASC separator ', ') from `plate` `f`)) order by `c`.`name` ASC separator '; ') AS `plate_info` from (((`star` `s` join `addr` `a` on(`s`.`address_id` = `a`.`address_id`)) join `city` on(`a`.`city_id` = `city`.`city_id`)) left join `plate_band` `fc` on((`s`.`star_id` = `fc`.`star_id`))) group by `s`.`star_id`,`s`.`first_name` */;
/*!50001 SET character_set_client      = @saved_cs_client */;
DELIMITER ;;
/*!50003 CREATE*/ /*!50017 DEFINER=`root`@`localhost`*/ /*!50003 TRIGGER `ins_plate` AFTER INSERT ON `plate` FOR EACH ROW BEGIN
    INSERT INTO plate_text (plate_id) VALUES (new.plate_id);
  END */;;
DELIMITER ;
DELIMITER //
CREATE TRIGGER `upd_plate` AFTER UPDATE ON `plate` FOR EACH ROW BEGIN
    IF (old.title != new.title) THEN
        UPDATE plate_text SET title=new.title WHERE plate_id=old.plate_id;
    END IF;
  END//
CREATE PROCEDURE night_report (
    IN min_plates TINYINT UNSIGNED
    , OUT count_nights INT
)
LANGUAGE SQL
READS SQL DATA
proc: BEGIN
    DECLARE last_month_start DATE;
    IF x = 0 THEN
        SELECT 'x';
        LEAVE proc;
    END IF;
END //
DELIMITER ;
CREATE EVENT ev ON SCHEDULE EVERY 1 DAY DO DELETE FROM star WHERE star_id = 0;
CREATE TABLE p (id int, d date) PARTITION BY RANGE (year(d)) (PARTITION p0 VALUES LESS THAN (1991), PARTITION p1 VALUES LESS THAN MAXVALUE);
ALTER TABLE `star` ADD CONSTRAINT `star_ibfk_1` FOREIGN KEY (`a`) REFERENCES `b` (`id`) ON DELETE CASCADE ON UPDATE NO ACTION, ADD KEY `k9` (`a`), MODIFY `star_id` int(11) NOT NULL AUTO_INCREMENT, AUTO_INCREMENT=77;
ALTER TABLE star ADD PRIMARY KEY (`star_id`), ADD UNIQUE KEY `u` (`a`);
ALTER TABLE star CHANGE COLUMN a b VARCHAR(10) NOT NULL DEFAULT 'x' COMMENT 'c' AFTER z, DROP FOREIGN KEY fk1, DROP INDEX k9, ENGINE=InnoDB, RENAME TO star2;
ALTER TABLE star2 RENAME TO star;
CREATE INDEX part_of_name ON star (name(10)) USING BTREE;
CREATE OR REPLACE VIEW cur AS SELECT e.person_no, MAX(to_date) AS to_date FROM watch e GROUP BY person_no;
source load_watches.dump ;
flush /*!50503 binary */ logs;
LOAD DATA LOCAL INFILE 'x.txt' INTO TABLE star FIELDS TERMINATED BY ',' LINES TERMINATED BY '\n' (a, b);
GRANT ALL PRIVILEGES ON obs.* TO 'u'@'localhost' IDENTIFIED BY 'x';
CREATE USER 'a'@'%' IDENTIFIED BY 'y';
SET FOREIGN_KEY_CHECKS=1;
CREATE TABLE t2 LIKE star;
CREATE TABLE t3 SELECT * FROM star;
CREATE TABLE t4 (id int primary key) AS SELECT 1 AS id;
CREATE TEMPORARY TABLE IF NOT EXISTS t5 (id INT) ENGINE=MEMORY;
show tables;
describe star;
EXPLAIN SELECT 1;
SELECT SQL_CALC_FOUND_ROWS * FROM star LIMIT 10;
SELECT FOUND_ROWS();
SELECT @row := @row + 1 AS n, star.* FROM star, (SELECT @row := 0) r;
REPLACE INTO star (star_id, first_name) VALUES (1, 'x');
INSERT INTO star SET star_id = 5, first_name = 'q' ON DUPLICATE KEY UPDATE first_name = VALUES(first_name);
/*!40101 SET CHARACTER_SET_CLIENT=@OLD_CHARACTER_SET_CLIENT */;
