CREATE TABLE `frame` (
  `frame_id` int unsigned NOT NULL AUTO_INCREMENT,
  `guid` char(36) NOT NULL DEFAULT (uuid()),
  `bin` binary(16),
  `code` varchar(20) NOT NULL DEFAULT 'F',
  `taken` datetime DEFAULT CURRENT_TIMESTAMP ON UPDATE CURRENT_TIMESTAMP,
  `ts` timestamp NOT NULL DEFAULT CURRENT_TIMESTAMP,
  `ts6` timestamp(6) NULL DEFAULT CURRENT_TIMESTAMP(6) ON UPDATE CURRENT_TIMESTAMP(6),
  `day` date DEFAULT (curdate()),
  `later` datetime DEFAULT ((now() + interval 7 day)),
  `zero` datetime NOT NULL DEFAULT '0000-00-00 00:00:00',
  `flag` tinyint(1) NOT NULL DEFAULT '0',
  `bits` bit(8) DEFAULT b'101',
  `flux` decimal(9,3) DEFAULT '0.000',
  `kind` enum('light','dark') NOT NULL DEFAULT 'light',
  `tags` set('a','b','c') DEFAULT 'a,b',
  `j` json DEFAULT (json_object('a', 1)),
  `ja` json DEFAULT (json_array()),
  `note` text,
  `dbl` double DEFAULT '1e3',
  `y` year DEFAULT '2026',
  `h` varbinary(4) DEFAULT 0x00FF,
  `up` varchar(20) GENERATED ALWAYS AS (upper(`code`)) VIRTUAL,
  `yr` int AS (year(`taken`)) STORED,
  `fmt` varchar(10) AS (date_format(`taken`,'%Y-%m')) VIRTUAL,
  `full` varchar(60) AS (concat(`code`,' ',coalesce(`note`,''))) VIRTUAL,
  `ws` varchar(60) AS (concat_ws(' ',`code`,`up`)) VIRTUAL,
  `jv` varchar(20) AS (json_unquote(json_extract(`j`,'$.a'))) VIRTUAL,
  `sum` decimal(10,3) AS (`flux` * 2) STORED,
  PRIMARY KEY (`frame_id`),
  UNIQUE KEY `uq` (`code`),
  KEY `k1` (`taken` DESC,`flux`),
  KEY `k2` (`note`(20)),
  KEY `k4` (`jv`),
  FULLTEXT KEY `ft` (`note`),
  CONSTRAINT `c1` CHECK (`flux` >= 0),
  CONSTRAINT `c2` CHECK ((`code` regexp '^[A-Z]')),
  CONSTRAINT `c3` CHECK (json_valid(`j`)),
  CONSTRAINT `c4` CHECK ((char_length(`code`) > 0) AND (`y` >= 1990)),
  CONSTRAINT `c5` CHECK ((`kind` in (_utf8mb4'light',_utf8mb4'dark')))
) ENGINE=InnoDB AUTO_INCREMENT=10 DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci COMMENT='frames';
CREATE TABLE `frame_log` (`log_id` bigint NOT NULL AUTO_INCREMENT, `frame_id` int unsigned DEFAULT NULL, `at` datetime(6) NOT NULL DEFAULT CURRENT_TIMESTAMP(6), PRIMARY KEY (`log_id`), KEY `fk` (`frame_id`), CONSTRAINT `fk` FOREIGN KEY (`frame_id`) REFERENCES `frame` (`frame_id`) ON DELETE CASCADE ON UPDATE CASCADE) ENGINE=InnoDB;
CREATE VIEW `v1` AS select `f`.`frame_id` AS `frame_id`,ifnull(`f`.`note`,'none') AS `note`,date_format(`f`.`taken`,'%d.%m.%Y %H:%i') AS `t`,timestampdiff(MONTH,`f`.`taken`,now()) AS `m`,if((`f`.`flag` = 1),'yes','no') AS `y` from `frame` `f` limit 100;
CREATE VIEW `v2` AS select `frame`.`flag` AS `flag`,count(0) AS `n`,group_concat(`frame`.`code` order by `frame`.`code` ASC separator ',') AS `codes` from `frame` group by `frame`.`flag`;
CREATE VIEW `v3` AS select substring_index(`code`,'-',1) AS p, left(`code`, locate('-',`code`) - 1) AS q, lpad(`frame_id`,8,'0') AS l, hex(`bin`) AS h, json_value(`j`,'$.a') AS a, weekday(`taken`) w, yearweek(`taken`) yw, from_unixtime(unix_timestamp(`ts`)) u from `frame` where `taken` > now() - interval 1 month;
INSERT INTO `frame` (`frame_id`,`code`,`taken`,`flag`,`bits`,`flux`,`kind`,`tags`,`j`,`note`) VALUES (1,'F1','2026-03-01 22:10:00',1,b'11',1.500,'dark','b,c','{\"a\": 2}','it\'s'),(2,'F2','2026-03-02 01:02:03',0,NULL,0.250,'light','','[]',NULL);
INSERT INTO `frame` (`code`) VALUES ('F3');
INSERT INTO `frame_log` (`frame_id`) VALUES (1),(2);
