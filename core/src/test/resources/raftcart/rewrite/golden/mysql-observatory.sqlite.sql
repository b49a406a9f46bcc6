-- to: postgresql oracle sqlite
-- tables of the observatory
CREATE TABLE stars (
    id integer PRIMARY KEY,
    name varchar(80) NOT NULL,
    mag decimal(5,2) DEFAULT 0.00,
    visible boolean DEFAULT TRUE NOT NULL,
    kind varchar(5) DEFAULT 'dwarf' CHECK (kind IN ('dwarf', 'giant')),
    seen timestamp DEFAULT (DATETIME('now', 'localtime')),
    CONSTRAINT uq_name UNIQUE (name)
);
CREATE INDEX ix_mag ON stars (mag);
INSERT INTO stars (id, name, visible) VALUES (1, 'Kes''tra', TRUE), (2, 'Ridge', FALSE);
SELECT name, IIF(visible, 'yes', 'no') AS v, DATETIME(seen, 3 || ' days'), COALESCE(mag, 0)
FROM stars
WHERE visible AND name LIKE 'K%'
ORDER BY mag
LIMIT 5
OFFSET 10;
-- RC0602 by hand: No counterpart on the target: different texts put together with a separator
-- SELECT CONCAT(name, '-', id), GROUP_CONCAT(DISTINCT kind ORDER BY kind SEPARATOR ', ') FROM stars GROUP BY name
INSERT INTO stars (id, name)
VALUES (1, 'x')
ON CONFLICT (id) DO UPDATE SET name = excluded.name, mag = stars.mag + 1;
UPDATE stars AS s SET mag = o.mag FROM obs o WHERE o.star_id = s.id AND o.ok = 1;
DELETE FROM stars AS s WHERE EXISTS (SELECT 1 FROM obs o WHERE o.star_id = s.id AND o.bad = 1);
-- RC0603 by hand: Code is not translated: code outside of triggers, which the engine does not have
-- CREATE PROCEDURE p() BEGIN SELECT 1; SELECT 2; END
SELECT
    STRFTIME('%Y-%m-%d %H:%M', seen),
    ROUND(CAST(7 AS REAL) / 2, 4),
    CAST(id / 2 AS INTEGER),
    ROUND(CAST(mag AS REAL) / 0, 6)
FROM stars;
SELECT foo(1) FROM stars;

-- a primary key has no name
CREATE TABLE plate (
    id integer NOT NULL,
    band varchar(3) NOT NULL,
    PRIMARY KEY (id)
);
-- RC0602 by hand: No counterpart on the target: a constraint removed from a table cannot be said in sqlite
-- ALTER TABLE plate DROP PRIMARY KEY, ADD CONSTRAINT plate_key PRIMARY KEY (id, band)
-- RC0602 by hand: No counterpart on the target: a constraint removed from a table cannot be said in sqlite
-- ALTER TABLE plate DROP PRIMARY KEY

-- findings
-- 3:1: RC0502 adapted: Storage clauses left out: ENGINE = InnoDB DEFAULT CHARSET = utf8mb4
-- 4:3: RC0117 adapted: Wider type: id: INTEGER for an identity of unsigned numbers
-- 3:1: RC0502 adapted: Storage clauses left out: the comment on stars.name
-- 7:3: RC0102 check: One-digit number becomes a boolean: visible: tinyint(1) as BOOLEAN
-- 7:41: RC0614 adapted: Condition made explicit: 1 for a truth value
-- 8:3: RC0120 adapted: Enumeration becomes a text: kind as a text with a check
-- 11:3: RC0612 check: Comparison may ignore case on one engine: UNIQUE
-- 3:1: RC0502 adapted: Storage clauses left out: the comment on stars
-- 14:62: RC0614 adapted: Condition made explicit: 1 for a truth value
-- 15:77: RC0608 adapted: Function spelled otherwise: IFNULL means coalesce
-- 15:126: RC0609 adapted: Said in other words: the case of letters counts in LIKE as on the source
-- 16:1: RC0602 by hand: No counterpart on the target: different texts put together with a separator
-- 17:1: RC0623 check: Upsert with a difference: the source looks at all keys of the table, the target at (id)
-- 19:1: RC0609 adapted: Said in other words: a DELETE that reads other tables, with EXISTS
-- 21:1: RC0603 by hand: Code is not translated: code outside of triggers, which the engine does not have
-- 23:26: RC0609 adapted: Said in other words: the mask %Y-%m-%d %H:%i is %Y-%m-%d %H:%M
-- 23:46: RC0615 adapted: Division kept: with its fraction
-- 23:46: RC0615 adapted: Division kept: rounded as on the source
-- 23:64: RC0615 adapted: Division kept: with its fraction
-- 23:64: RC0615 adapted: Division kept: rounded as on the source
-- 24:8: RC0606 check: Function is not in the dictionary: foo
-- 28:1: RC0602 by hand: No counterpart on the target: a constraint removed from a table cannot be said in sqlite
-- 29:1: RC0602 by hand: No counterpart on the target: a constraint removed from a table cannot be said in sqlite
