-- Dump of the observatory
/*!40101 SET NAMES utf8mb4 */;
/*!40014 SET @OLD_FOREIGN_KEY_CHECKS=@@FOREIGN_KEY_CHECKS, FOREIGN_KEY_CHECKS=0 */;
DROP TABLE IF EXISTS `dome`;
CREATE TABLE `dome` (
  `dome_id` int NOT NULL AUTO_INCREMENT,
  `label` varchar(40) COLLATE utf8mb4_bin NOT NULL,
  `diameter` decimal(5,2) DEFAULT '4.50',
  `is_open` tinyint(1) NOT NULL DEFAULT '0',
  `built` datetime NOT NULL DEFAULT CURRENT_TIMESTAMP,
  PRIMARY KEY (`dome_id`),
  UNIQUE KEY `dome_label_uk` (`label`)
) ENGINE=InnoDB AUTO_INCREMENT=3 DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_bin;
DROP TABLE IF EXISTS `observer`;
CREATE TABLE `observer` (
  `observer_id` int NOT NULL,
  `login` varchar(30) NOT NULL,
  `full_name` varchar(120) DEFAULT NULL,
  `email` varchar(200) DEFAULT NULL,
  PRIMARY KEY (`observer_id`),
  UNIQUE KEY `observer_login` (`login`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_bin;
DROP TABLE IF EXISTS `observation`;
CREATE TABLE `observation` (
  `observation_id` bigint NOT NULL,
  `dome_id` int NOT NULL,
  `observer_id` int DEFAULT NULL,
  `Order` smallint NOT NULL DEFAULT '1',
  `started` datetime(3) NOT NULL,
  `ended` datetime(3) DEFAULT NULL,
  `seconds` decimal(10,3) NOT NULL DEFAULT '0.000' COMMENT 'exposure in seconds',
  `remark` longtext,
  `frame` longblob,
  `checksum` binary(16) DEFAULT NULL,
  PRIMARY KEY (`observation_id`),
  KEY `observation_started` (`started` DESC,`dome_id`),
  CONSTRAINT `observation_dome_fk` FOREIGN KEY (`dome_id`) REFERENCES `dome` (`dome_id`) ON DELETE CASCADE,
  CONSTRAINT `observation_observer_fk` FOREIGN KEY (`observer_id`) REFERENCES `observer` (`observer_id`) ON DELETE SET NULL,
  CONSTRAINT `observation_times` CHECK (((`ended` is null) or (`ended` >= `started`))),
  CONSTRAINT `observation_seconds` CHECK ((`seconds` between 0 and 86400))
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_bin COMMENT='One look at the sky, from a dome''s door to its closing';
ALTER TABLE `observation` ADD COLUMN `quality` varchar(10) NOT NULL DEFAULT 'good';
ALTER TABLE `observer` MODIFY `email` varchar(254) DEFAULT NULL, CHANGE `full_name` `name` varchar(120) DEFAULT NULL;
CREATE VIEW `busy_dome` AS select `d`.`label` AS `label`,count(0) AS `looks`,max(`o`.`started`) AS `last_look` from (`dome` `d` join `observation` `o` on((`o`.`dome_id` = `d`.`dome_id`))) group by `d`.`label`;
CREATE VIEW `busiest` AS select `busy_dome`.`label` AS `label`,ifnull(date_format(`busy_dome`.`last_look`,'%Y-%m-%d'),'never') AS `last_day` from `busy_dome` where (`busy_dome`.`looks` > 1);
DELIMITER ;;
CREATE PROCEDURE `close_dome`(p_dome INT)
BEGIN
  UPDATE dome SET is_open = 0 WHERE dome_id = p_dome;
END ;;
DELIMITER ;
LOCK TABLES `dome` WRITE;
INSERT INTO `dome` VALUES (1,'North',6.50,1,'2019-04-01 00:00:00'),(2,'South',4.50,0,'2021-10-05 00:00:00');
UNLOCK TABLES;
INSERT INTO `observer` VALUES (100,'ada','Ada of the Ridge',NULL);
INSERT INTO `observation` VALUES (1,1,100,1,'2031-01-02 03:04:05.125',NULL,12.500,'clear; it\'s cold',NULL,NULL,'good'),(2,1,NULL,1,'2031-01-03 04:05:06.000',NULL,30.000,NULL,NULL,0x00112233445566778899AABBCCDDEEFF,'good');
