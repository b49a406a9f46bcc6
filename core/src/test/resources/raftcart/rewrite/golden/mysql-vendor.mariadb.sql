-- to: postgresql mariadb
-- Dump 10.19  Distrib 10.3.39
DROP SCHEMA IF EXISTS obs;
CREATE DATABASE IF NOT EXISTS obs;
USE obs;
SELECT 'CREATING DATABASE STRUCTURE' AS INFO;
DROP TABLE IF EXISTS a;
DROP TABLE IF EXISTS b;
DROP TABLE IF EXISTS c;
-- RC0602 by hand: No counterpart on the target: the system variable @@default_storage_engine
-- /*!50503 select CONCAT('storage engine: ', @@default_storage_engine) as INFO */
DROP TABLE IF EXISTS star;
CREATE TABLE star (
    star_id smallint unsigned AUTO_INCREMENT NOT NULL,
    first_name varchar(45) NOT NULL,
    kind enum('G', 'K', 'K-2', 'M', 'S-17') DEFAULT 'G',
    feat set('Dark', 'Flat', 'Deep Sky') DEFAULT NULL,
    y year DEFAULT NULL,
    rate decimal(4,2) DEFAULT 4.99 NOT NULL,
    active tinyint(1) DEFAULT TRUE NOT NULL,
    pic blob,
    loc geometry NOT NULL,
    g point,
    j json DEFAULT NULL,
    lt longtext COLLATE utf8mb4_bin DEFAULT NULL CHECK (JSON_VALID(lt)),
    b bit(1) DEFAULT FALSE,
    b8 bit(8) DEFAULT NULL,
    big bigint unsigned DEFAULT NULL,
    mi mediumint unsigned DEFAULT NULL,
    f float DEFAULT NULL,
    dp double,
    t3 time(3),
    dt datetime(0) DEFAULT NULL,
    cr datetime(6) DEFAULT CURRENT_TIMESTAMP(6) NOT NULL,
    last_update timestamp DEFAULT CURRENT_TIMESTAMP NOT NULL ON UPDATE CURRENT_TIMESTAMP,
    sg varchar(90) GENERATED ALWAYS AS (CONCAT(first_name, ' ', kind)) STORED,
    c1 varchar(20) COLLATE utf8mb4_bin DEFAULT '' COMMENT 'it''s a comment; with ''quotes''',
    nat varchar(10),
    bin binary(16),
    vb varbinary(20),
    PRIMARY KEY (star_id),
    CONSTRAINT uk_fn UNIQUE (first_name, kind),
    CONSTRAINT fk_site FOREIGN KEY (site_id) REFERENCES site (site_id) ON UPDATE CASCADE,
    CONSTRAINT ck CHECK (rate > 0)
) COMMENT = 'Stars; all';
CREATE INDEX idx_last ON star (last_update);
CREATE INDEX idx_pref ON star (c1(10), rate DESC);
CREATE FULLTEXT INDEX idx_title ON star (first_name, c1);
CREATE SPATIAL INDEX idx_loc ON star (loc);
CREATE INDEX idx_h ON star (rate);
ALTER TABLE star AUTO_INCREMENT = 201;
INSERT INTO star (star_id, first_name, pic, loc, b)
VALUES 
    (1, 'WR''EN
\\', X'000000', X'00000000010100000063', TRUE),
    (2, 'x"y', X'', X'0000000001010000', FALSE);
INSERT INTO star VALUES (1, 'double "q"', 'G'), (3, 'a', NULL);
INSERT IGNORE INTO star (star_id) VALUES (1);
COMMIT;
--
-- Temporary table structure for view `v`
--
DROP TABLE IF EXISTS v;
DROP VIEW IF EXISTS v;
CREATE VIEW v AS
SELECT 1 AS ID, 1 AS name;
CREATE TABLE v2 (
    id tinyint(4) NOT NULL
);
DROP VIEW IF EXISTS v;
CREATE VIEW v AS
SELECT
    s.star_id AS ID,
    CONCAT(s.first_name, ' ', s.kind) AS name,
    IF(s.active, 'active', '') AS notes,
    GROUP_CONCAT(DISTINCT (CONCAT(c.name, ': ', (SELECT GROUP_CONCAT(f.title ORDER BY f.title SEPARATOR ', ') FROM plate f))) ORDER BY c.name SEPARATOR '; ') AS plate_info
FROM star s
JOIN addr a ON s.address_id = a.address_id
JOIN city ON a.city_id = city.city_id
LEFT JOIN plate_band fc ON s.star_id = fc.star_id
GROUP BY s.star_id, s.first_name;
DELIMITER //
CREATE TRIGGER ins_plate AFTER INSERT ON plate FOR EACH ROW
BEGIN
    INSERT INTO plate_text (plate_id) VALUES (new.plate_id);
END//
DELIMITER ;
DELIMITER //
CREATE TRIGGER upd_plate AFTER UPDATE ON plate FOR EACH ROW
BEGIN
    IF old.title <> new.title THEN
        UPDATE plate_text SET title = new.title WHERE plate_id = old.plate_id;
    END IF;
END//
DELIMITER ;
DELIMITER //
CREATE PROCEDURE night_report(min_plates tinyint(4) unsigned, OUT count_nights int)
SQL SECURITY DEFINER
proc: BEGIN
    DECLARE last_month_start date;
    IF x = 0 THEN
        SELECT 'x';
        LEAVE proc;
    END IF;
END//
DELIMITER ;
-- RC0603 by hand: Code is not translated: event
-- CREATE EVENT ev ON SCHEDULE EVERY 1 DAY DO DELETE FROM star WHERE star_id = 0
CREATE TABLE p (
    id int,
    d date
)
PARTITION BY RANGE COLUMNS (d) (
    PARTITION p0 VALUES LESS THAN ('1991-01-01'),
    PARTITION p1 VALUES LESS THAN (MAXVALUE)
);
ALTER TABLE star ADD CONSTRAINT star_ibfk_1 FOREIGN KEY (a) REFERENCES b (id) ON DELETE CASCADE;
ALTER TABLE star MODIFY COLUMN star_id int AUTO_INCREMENT NOT NULL;
ALTER TABLE star AUTO_INCREMENT = 77;
CREATE INDEX k9 ON star (a);
ALTER TABLE star ADD PRIMARY KEY (star_id);
ALTER TABLE star ADD CONSTRAINT u UNIQUE (a);
ALTER TABLE star RENAME COLUMN a TO b;
ALTER TABLE star MODIFY COLUMN b varchar(10) DEFAULT 'x' NOT NULL COMMENT 'c' AFTER z;
ALTER TABLE star DROP FOREIGN KEY fk1;
ALTER TABLE star DROP INDEX k9;
ALTER TABLE star RENAME TO star2;
ALTER TABLE star2 RENAME TO star;
CREATE INDEX part_of_name ON star (name(10));
CREATE OR REPLACE VIEW cur AS SELECT e.person_no, MAX(to_date) AS to_date FROM watch e GROUP BY person_no;
-- RC0602 by hand: No counterpart on the target: SOURCE
-- source load_watches.dump
-- RC0602 by hand: No counterpart on the target: LOAD
-- LOAD DATA LOCAL INFILE 'x.txt' INTO TABLE star FIELDS TERMINATED BY ',' LINES TERMINATED BY '\n' (a, b)
-- RC0602 by hand: No counterpart on the target: a grant with a password
-- GRANT ALL PRIVILEGES ON obs.* TO 'u'@'localhost' IDENTIFIED BY '***'
-- RC0602 by hand: No counterpart on the target: user
-- CREATE USER 'a'@'%' IDENTIFIED BY '***'
CREATE TABLE t2 LIKE star;
CREATE TABLE t3 AS
SELECT * FROM star;
CREATE TABLE t4 (id int primary key) AS SELECT 1 AS id;
CREATE TEMPORARY TABLE IF NOT EXISTS t5 (
    id int
);
-- RC0602 by hand: No counterpart on the target: SHOW
-- show tables
-- RC0602 by hand: No counterpart on the target: EXPLAIN
-- EXPLAIN SELECT 1
-- RC0602 by hand: No counterpart on the target: SQL_CALC_FOUND_ROWS; count with a query of its own
-- SELECT SQL_CALC_FOUND_ROWS * FROM star LIMIT 10
SELECT FOUND_ROWS();
-- RC0602 by hand: No counterpart on the target: an assignment inside of an expression cannot be said in mariadb
-- SELECT @row := @row + 1 AS n, star.* FROM star, (SELECT @row := 0) r
REPLACE INTO star (star_id, first_name) VALUES (1, 'x');
INSERT INTO star (star_id, first_name)
VALUES (5, 'q')
ON DUPLICATE KEY UPDATE first_name = VALUES(first_name);

-- findings
-- 3:10: RC0604 adapted: Client command left out: SET @OLD_CHARACTER_SET_CLIENT = @@CHARACTER_SET_CLIENT
-- 4:10: RC0604 adapted: Client command left out: SET NAMES utf8mb4
-- 5:10: RC0627 check: Said in other words, with a difference: left out, though it changes what statements mean: SET @OLD_TIME_ZONE = @@TIME_ZONE
-- 6:10: RC0627 check: Said in other words, with a difference: left out, though it changes what statements mean: SET TIME_ZONE = '+00:00'
-- 7:10: RC0604 adapted: Client command left out: SET @OLD_UNIQUE_CHECKS = @@UNIQUE_CHECKS , UNIQUE_CHECKS = 0
-- 8:10: RC0604 adapted: Client command left out: SET @OLD_FOREIGN_KEY_CHECKS = @@FOREIGN_KEY_CHECKS , FOREIGN_KEY_CHECKS = 0
-- 9:10: RC0604 adapted: Client command left out: SET @OLD_SQL_MODE = @@SQL_MODE , SQL_MODE = 'NO_AUTO_VALUE_ON_ZERO'
-- 10:1: RC0604 adapted: Client command left out: SET SQL_MODE = @OLD_SQL_MODE
-- 12:1: RC0502 adapted: Storage clauses left out: DEFAULT CHARACTER SET latin1 COLLATE latin1_swedish_ci
-- 16:10: RC0604 adapted: Client command left out: SET default_storage_engine = InnoDB
-- 17:10: RC0602 by hand: No counterpart on the target: the system variable @@default_storage_engine
-- 19:10: RC0604 adapted: Client command left out: SET @saved_cs_client = @@character_set_client
-- 20:10: RC0604 adapted: Client command left out: SET character_set_client = utf8
-- 21:1: RC0502 adapted: Storage clauses left out: ENGINE = InnoDB
-- 21:1: RC0502 adapted: Storage clauses left out: DEFAULT CHARSET = utf8mb3
-- 21:1: RC0502 adapted: Storage clauses left out: COLLATE = utf8mb3_general_ci ROW_FORMAT = DYNAMIC
-- 28:40: RC0614 adapted: Condition made explicit: 1 for a truth value
-- 30:3: RC0502 adapted: Storage clauses left out: loc: SRID 0
-- 33:3: RC0502 adapted: Storage clauses left out: lt: CHARACTER SET utf8mb4
-- 34:22: RC0614 adapted: Condition made explicit: 0 for a truth value
-- 37:3: RC0502 adapted: Storage clauses left out: mi: ZEROFILL
-- 38:3: RC0627 check: Said in other words, with a difference: the source rounds what goes into f to 4 digits
-- 41:25: RC0107 check: Dates that do not exist become NULL: 0000-00-00 00:00:00
-- 44:3: RC0627 check: Said in other words, with a difference: the computed column vg is left out, since it reads the numbered one
-- 46:3: RC0502 adapted: Storage clauses left out: c1: CHARACTER SET latin1
-- 53:3: RC0627 check: Said in other words, with a difference: the index fx is left out: an index on an expression cannot be said in mariadb
-- 56:3: RC0502 adapted: Storage clauses left out: USING HASH
-- 56:3: RC0502 adapted: Storage clauses left out: COMMENT 'hash'
-- 60:10: RC0604 adapted: Client command left out: SET character_set_client = @saved_cs_client
-- 61:1: RC0604 adapted: Client command left out: LOCK TABLES `star` WRITE
-- 62:10: RC0502 adapted: Storage clauses left out: DISABLE KEYS
-- 63:124: RC0614 adapted: Condition made explicit: 1 for a truth value
-- 65:10: RC0502 adapted: Storage clauses left out: ENABLE KEYS
-- 66:1: RC0604 adapted: Client command left out: UNLOCK TABLES
-- 68:1: RC0604 adapted: Client command left out: SET AUTOCOMMIT = 0
-- 75:1: RC0604 adapted: Client command left out: SET @saved_cs_client = @@character_set_client
-- 76:1: RC0604 adapted: Client command left out: SET character_set_client = utf8
-- 80:10: RC0502 adapted: Storage clauses left out: ENGINE = MyISAM
-- 86:219: RC0608 adapted: Function spelled otherwise: group_concat means string_agg
-- 86:166: RC0608 adapted: Function spelled otherwise: group_concat means string_agg
-- 84:10: RC0502 adapted: Storage clauses left out: DEFINER = `root`@`localhost`
-- 87:10: RC0604 adapted: Client command left out: SET character_set_client = @saved_cs_client
-- 113:1: RC0603 by hand: Code is not translated: event
-- 114:1: RC0609 adapted: Said in other words: the partitions by RANGE (year (d))
-- 117:1: RC0502 adapted: Storage clauses left out: ENGINE = InnoDB
-- 121:1: RC0602 by hand: No counterpart on the target: SOURCE
-- 122:1: RC0604 adapted: Client command left out: flush binary logs
-- 123:1: RC0602 by hand: No counterpart on the target: LOAD
-- 124:50: RC0602 by hand: No counterpart on the target: a grant with a password
-- 125:1: RC0602 by hand: No counterpart on the target: user
-- 126:1: RC0604 adapted: Client command left out: SET FOREIGN_KEY_CHECKS = 1
-- 130:1: RC0502 adapted: Storage clauses left out: ENGINE = MEMORY
-- 131:1: RC0602 by hand: No counterpart on the target: SHOW
-- 132:1: RC0604 adapted: Client command left out: describe star
-- 133:1: RC0602 by hand: No counterpart on the target: EXPLAIN
-- 134:28: RC0602 by hand: No counterpart on the target: SQL_CALC_FOUND_ROWS; count with a query of its own
-- 136:1: RC0602 by hand: No counterpart on the target: an assignment inside of an expression cannot be said in mariadb
-- 139:10: RC0604 adapted: Client command left out: SET CHARACTER_SET_CLIENT = @OLD_CHARACTER_SET_CLIENT
