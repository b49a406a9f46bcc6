-- to: postgresql oracle sqlite
-- tables of the observatory
CREATE TABLE `stars` (
  `id` int unsigned NOT NULL AUTO_INCREMENT,
  `name` varchar(80) NOT NULL COMMENT 'as catalogued',
  `mag` decimal(5,2) DEFAULT '0.00',
  `visible` tinyint(1) NOT NULL DEFAULT '1',
  `kind` enum('dwarf','giant') DEFAULT 'dwarf',
  `seen` datetime DEFAULT CURRENT_TIMESTAMP,
  PRIMARY KEY (`id`),
  UNIQUE KEY `uq_name` (`name`),
  KEY `ix_mag` (`mag`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COMMENT='all stars';
INSERT INTO stars (id, name, visible) VALUES (1, 'Kes''tra', 1), (2, 'Ridge', 0);
SELECT name, IF(visible, 'yes', 'no') AS v, DATE_ADD(seen, INTERVAL 3 DAY), IFNULL(mag, 0) FROM stars WHERE visible AND name LIKE 'K%' ORDER BY mag LIMIT 10, 5;
SELECT CONCAT(name, '-', id), GROUP_CONCAT(DISTINCT kind ORDER BY kind SEPARATOR ', ') FROM stars GROUP BY name;
INSERT INTO stars (id, name) VALUES (1, 'x') ON DUPLICATE KEY UPDATE name = VALUES(name), mag = mag + 1;
UPDATE stars s JOIN obs o ON o.star_id = s.id SET s.mag = o.mag WHERE o.ok = 1;
DELETE s FROM stars s JOIN obs o ON o.star_id = s.id WHERE o.bad = 1;
DELIMITER //
CREATE PROCEDURE p() BEGIN SELECT 1; SELECT 2; END//
DELIMITER ;
SELECT DATE_FORMAT(seen, '%Y-%m-%d %H:%i'), 7/2, id DIV 2, mag / 0 FROM stars;
SELECT foo(1) FROM stars;

-- a primary key has no name
CREATE TABLE plate (id int NOT NULL, band varchar(3) NOT NULL, PRIMARY KEY (id));
ALTER TABLE plate DROP PRIMARY KEY, ADD CONSTRAINT plate_key PRIMARY KEY (id, band);
ALTER TABLE plate DROP PRIMARY KEY;
