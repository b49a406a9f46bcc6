-- to: postgresql
/*!40101 SET @OLD_CHARACTER_SET_CLIENT=@@CHARACTER_SET_CLIENT */;
/*!50503 SET NAMES utf8mb4 */;
SET SQL_MODE = "NO_AUTO_VALUE_ON_ZERO";
SET time_zone = "+00:00";
CREATE DATABASE IF NOT EXISTS `kro` DEFAULT CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci;
USE `kro`;
DROP TABLE IF EXISTS `telescope`;
CREATE TABLE IF NOT EXISTS `telescope` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT COMMENT 'key',
  `name` varchar(100) CHARACTER SET latin1 COLLATE latin1_swedish_ci NOT NULL DEFAULT '',
  `kind` enum('refractor','reflector') NOT NULL DEFAULT 'refractor',
  `flags` set('a','b','c') DEFAULT NULL,
  `ap` decimal(6,3) unsigned zerofill DEFAULT '0.000',
  `f` float(7,2), `d` double, `b` bit(8) DEFAULT b'0', `t` tinyint(1) DEFAULT '1', `y` year(4),
  `c` timestamp NOT NULL DEFAULT CURRENT_TIMESTAMP ON UPDATE CURRENT_TIMESTAMP,
  `dt` datetime(6) DEFAULT NULL, `z` datetime DEFAULT '0000-00-00 00:00:00',
  `j` json, `m` mediumtext, `l` longblob, `g` point, `tt` time,
  `full` varchar(200) GENERATED ALWAYS AS (concat(`name`,' ',`kind`)) STORED,
  `v` int AS (`id` + 1) VIRTUAL,
  PRIMARY KEY (`id`), UNIQUE KEY `u` (`name`(20)), KEY `k` (`kind`,`ap` DESC) USING BTREE, FULLTEXT KEY `ft` (`m`), SPATIAL KEY `sp` (`g`),
  KEY `fx` ((lower(`name`))), CONSTRAINT `fk` FOREIGN KEY (`t`) REFERENCES `other` (`id`) ON DELETE CASCADE ON UPDATE SET NULL, CHECK (`ap` > 0)
) ENGINE=InnoDB AUTO_INCREMENT=42 DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci ROW_FORMAT=DYNAMIC COMMENT='scopes' /*!50100 PARTITION BY RANGE (id) (PARTITION p0 VALUES LESS THAN (10)) */;
LOCK TABLES `telescope` WRITE;
/*!40000 ALTER TABLE `telescope` DISABLE KEYS */;
INSERT INTO `telescope` VALUES (1,'it\'s','refractor','a,b',1.5,1,2,b'101',1,2020,'2020-01-01 00:00:00',NULL,'0000-00-00','{"a": 1}','x',0x4142,NULL,'25:00:00',DEFAULT,DEFAULT),(2,_binary 'x',1,3,NULL,1,2,0x01,0,20,NOW(),NULL,NULL,NULL,NULL,NULL,ST_GeomFromText('POINT(1 1)'),NULL,NULL,NULL);
UNLOCK TABLES;
ALTER TABLE `telescope` ADD COLUMN `x` int NOT NULL AFTER `name`, DROP COLUMN `y`, MODIFY `d` decimal(10,2) NOT NULL, CHANGE `f` `ff` double, ADD UNIQUE INDEX `ux` (`x`), DROP INDEX `k`, ADD CONSTRAINT FOREIGN KEY (`x`) REFERENCES `o`(`id`), RENAME TO `scope`, AUTO_INCREMENT=5;
ALTER TABLE scope RENAME TO telescope;
ALTER TABLE telescope DROP FOREIGN KEY fk, DROP PRIMARY KEY, ADD PRIMARY KEY (id, name), ORDER BY name;
ALTER TABLE telescope ADD INDEX (name), CONVERT TO CHARACTER SET utf8mb4, ALTER COLUMN x SET DEFAULT 4, ALTER x DROP DEFAULT;
CREATE INDEX i1 ON telescope (name(10), x) COMMENT 'c' ALGORITHM=INPLACE LOCK=NONE;
CREATE OR REPLACE ALGORITHM=MERGE DEFINER=`root`@`localhost` SQL SECURITY DEFINER VIEW `v` AS select `t`.`id` AS `id` from `telescope` `t` where (`t`.`name` like '%a%') WITH CASCADED CHECK OPTION;
RENAME TABLE a TO b, c TO d;
TRUNCATE telescope;
SELECT SQL_NO_CACHE * FROM telescope USE INDEX (k) WHERE name REGEXP '^a' AND id IN (1,2) LIMIT 5, 10;
SELECT name, GROUP_CONCAT(DISTINCT kind ORDER BY kind DESC SEPARATOR '|'), COUNT(DISTINCT a, b), SUM(x > 5), AVG(IF(t, 1, 0)) FROM telescope GROUP BY name WITH ROLLUP HAVING COUNT(*) > 1 ORDER BY NULL;
SELECT DATE_FORMAT(c, '%d/%m/%Y %H:%i:%s'), STR_TO_DATE('01,5,2013','%d,%m,%Y'), DATE_ADD(c, INTERVAL '1:30' HOUR_MINUTE), c + INTERVAL 1 DAY, TIMESTAMPDIFF(MONTH, c, NOW()), DATEDIFF(NOW(), c), UNIX_TIMESTAMP(c), FROM_UNIXTIME(1), WEEK(c, 1), DAYOFWEEK(c), LAST_DAY(c), MAKEDATE(2020, 5), SEC_TO_TIME(100), TIME_TO_SEC(tt), EXTRACT(YEAR_MONTH FROM c), CURDATE() + 0, NOW() + 0, PERIOD_DIFF(202001, 201901), QUARTER(c), CONVERT_TZ(c, '+00:00', '+01:00') FROM telescope;
SELECT CONCAT_WS(',', a, b), SUBSTRING_INDEX(a, '.', 2), LPAD(a, 5, '0'), FIND_IN_SET('a', flags), FIELD(a, 'x', 'y'), ELT(2, 'a', 'b'), INSERT(a, 1, 2, 'z'), LOCATE('a', b, 2), MID(a, 2, 3), CHAR_LENGTH(a), LENGTH(a), HEX(a), UNHEX('41'), BIN(5), CONV('ff', 16, 10), FORMAT(1234.5, 2), INET_ATON('1.2.3.4'), MD5(a), SHA2(a, 256), UUID(), RAND(), TRUNCATE(1.55, 1), STRCMP(a, b), QUOTE(a), SOUNDEX(a), REVERSE(a), SPACE(3), ASCII(a), ORD(a), CHAR(65), BIT_COUNT(5), CRC32(a) FROM t;
SELECT IFNULL(a, b), NULLIF(a, b), a <=> b, a XOR b, a DIV b, a % b, a << 2, ~a, !a, a && b, a || b, BINARY a = 'X', a COLLATE utf8mb4_bin, CAST(a AS UNSIGNED), CAST(a AS SIGNED), CONVERT(a, CHAR(5)), CONVERT(a USING utf8), a REGEXP BINARY 'x', a SOUNDS LIKE b, a NOT RLIKE 'x', ISNULL(a), GREATEST(a, b), LEAST(1, 2), INTERVAL(5, 1, 10), @v := 5, @@version FROM t;
SELECT j->'$.a', j->>'$.a.b', JSON_EXTRACT(j, '$[0]'), JSON_OBJECT('a', 1), JSON_ARRAY(1), JSON_CONTAINS(j, '1', '$.a'), JSON_LENGTH(j), JSON_KEYS(j), JSON_SET(j, '$.a', 1), JSON_SEARCH(j, 'one', 'x'), JSON_ARRAYAGG(a), JSON_OBJECTAGG(a, b), JSON_TYPE(j), JSON_MERGE_PATCH(j, '{}'), JSON_UNQUOTE(JSON_EXTRACT(j, '$.a')) FROM telescope;
INSERT IGNORE INTO telescope (id, name) VALUES (1, 'a');
INSERT INTO telescope (id, name) VALUES (1, 'a') ON DUPLICATE KEY UPDATE name = VALUES(name), x = x + 1;
INSERT INTO telescope SET id = 5, name = 'b';
REPLACE INTO telescope (id, name) VALUES (1, 'c');
UPDATE telescope t JOIN o ON o.id = t.x SET t.name = o.name, t.x = 0 WHERE o.id > 5;
UPDATE telescope SET name = 'x' ORDER BY id LIMIT 5;
UPDATE IGNORE telescope SET id = 5;
DELETE t FROM telescope t INNER JOIN o ON o.id = t.x WHERE o.name IS NULL;
DELETE t, o FROM telescope t JOIN o ON o.id = t.x;
DELETE FROM telescope WHERE id < 5 ORDER BY id DESC LIMIT 2;
SELECT * FROM a STRAIGHT_JOIN b LEFT JOIN (c CROSS JOIN d) ON a.x = c.x NATURAL LEFT JOIN e;
SELECT * FROM telescope WHERE MATCH (m) AGAINST ('+a -b' IN BOOLEAN MODE);
SELECT * FROM telescope FOR UPDATE SKIP LOCKED;
SELECT * FROM telescope LOCK IN SHARE MODE;
SELECT a, b FROM t1 UNION DISTINCT (SELECT c, d FROM t2 LIMIT 3) ORDER BY 1 LIMIT 5;
WITH RECURSIVE r AS (SELECT 1 AS n UNION ALL SELECT n + 1 FROM r WHERE n < 5) SELECT * FROM r;
SELECT ROW_NUMBER() OVER w, LAG(x, 1) OVER w, NTH_VALUE(x, 2) OVER (w ROWS UNBOUNDED PRECEDING) FROM telescope WINDOW w AS (PARTITION BY kind ORDER BY id);
SELECT * FROM telescope PARTITION (p0);
SELECT name INTO @n FROM telescope LIMIT 1;
SELECT * INTO OUTFILE '/tmp/x' FROM telescope;
LOAD DATA LOCAL INFILE 'x.csv' INTO TABLE telescope FIELDS TERMINATED BY ',';
SELECT LAST_INSERT_ID(), ROW_COUNT(), FOUND_ROWS(), DATABASE(), USER(), CONNECTION_ID(), VERSION(), SLEEP(1), BENCHMARK(1, 1), GET_LOCK('a', 1);
SHOW TABLES LIKE 'a%';
DESCRIBE telescope;
EXPLAIN SELECT 1;
GRANT SELECT, INSERT ON `kro`.* TO 'app'@'%' IDENTIFIED BY 'x';
GRANT ALL PRIVILEGES ON kro.telescope TO app@localhost WITH GRANT OPTION;
CREATE USER 'app'@'%' IDENTIFIED BY 'x';
FLUSH PRIVILEGES;
START TRANSACTION READ ONLY;
SET autocommit=0;
SET @x = 5, @y = 6;
CALL p(1, @out);
DO SLEEP(1);
DELIMITER $$
CREATE DEFINER=`root`@`localhost` TRIGGER tr BEFORE INSERT ON telescope FOR EACH ROW BEGIN IF NEW.x IS NULL THEN SET NEW.x = 1; END IF; END$$
CREATE PROCEDURE p(IN a INT, OUT b INT) BEGIN DECLARE i INT DEFAULT 0; WHILE i < a DO SET i = i + 1; END WHILE; SET b = i; END$$
DELIMITER ;
CREATE EVENT e ON SCHEDULE EVERY 1 DAY DO DELETE FROM telescope WHERE id < 5;
CREATE TEMPORARY TABLE tmp LIKE telescope;
CREATE TABLE t2 AS SELECT * FROM telescope;
CREATE TABLE t3 (id int PRIMARY KEY) SELECT id FROM telescope;
SELECT 'a' 'b', "c", N'd', _utf8'e', 0x41, X'41', b'1', TRUE, 1e3, .5, -5, 'a\nb', '100%' LIKE '100\%';
SELECT `a`.`b`, a.*, DISTINCT FROM t;
SELECT IF(a > b, 'x', 'y') AS `the-name`, COUNT(*) cnt FROM t GROUP BY `the-name`;
select distinct t.* from t where not exists (select * from u where u.id=t.id) and (a,b)=(1,2) and c between 1 and 2 or d is not true;
HANDLER t OPEN;
OPTIMIZE TABLE t;
CHECK TABLE t;
KILL 5;
PREPARE s FROM 'SELECT ?';
EXECUTE s USING @x;
/*!40101 SET CHARACTER_SET_CLIENT=@OLD_CHARACTER_SET_CLIENT */;
CREATE PROCEDURE lamps() SELECT 1;
SELECT * FROM lamps;
