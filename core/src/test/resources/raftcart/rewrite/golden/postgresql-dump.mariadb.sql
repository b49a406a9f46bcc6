-- to: mariadb oracle h2
-- dump of the observatory
CREATE TABLE star (
    id int NOT NULL,
    name varchar(80) NOT NULL,
    kind enum('dwarf', 'giant') DEFAULT 'dwarf',
    tags json,
    doc json,
    seen datetime(6) DEFAULT (UTC_TIMESTAMP(6)) NOT NULL,
    active tinyint(1) DEFAULT TRUE
) COLLATE utf8mb4_nopad_bin;
ALTER TABLE star ADD UNIQUE (id);
ALTER TABLE star MODIFY COLUMN id int AUTO_INCREMENT NOT NULL;
INSERT INTO star (id, name, active) VALUES (1, 'Kestra', TRUE), (2, 'Ri\\dgel', NULL);
ALTER TABLE star ADD CONSTRAINT star_pkey PRIMARY KEY (id);
-- RC0602 by hand: No counterpart on the target: an index on an expression cannot be said in mariadb
-- CREATE INDEX star_lower ON public.star USING btree (lower((name)::text)) WHERE active
ALTER TABLE star COMMENT = 'stars';
GRANT SELECT ON star TO reader;
INSERT INTO star (id, name)
VALUES (1, 'x')
ON DUPLICATE KEY UPDATE name = CASE WHEN star.active THEN VALUES(name) ELSE star.name END;
INSERT IGNORE INTO star (id, name) VALUES (3, 'y') RETURNING id;
UPDATE star s
CROSS JOIN renamed r
SET s.name = r.name
WHERE r.id = s.id;
DELETE s FROM star s WHERE EXISTS (SELECT 1 FROM renamed r WHERE r.id = s.id AND r.gone);
SELECT
    CASE JSON_TYPE(JSON_EXTRACT(doc, '$.a')) WHEN 'STRING' THEN JSON_VALUE(doc, '$.a') WHEN 'NULL' THEN NULL ELSE JSON_EXTRACT(doc, '$.a') END,
    CASE JSON_TYPE(JSON_EXTRACT(doc, '$.b.c')) WHEN 'STRING' THEN JSON_VALUE(doc, '$.b.c') WHEN 'NULL' THEN NULL ELSE JSON_EXTRACT(doc, '$.b.c') END,
    (JSON_VALUE(tags, '$[0]') COLLATE utf8mb4_nopad_bin)
FROM star
WHERE name REGEXP '(?i)^k';
SELECT kind, name
FROM (
    SELECT
        kind AS kind,
        name AS name,
        ROW_NUMBER() OVER (PARTITION BY kind ORDER BY CASE WHEN kind IS NULL THEN 1 ELSE 0 END, kind, seen DESC) AS row_rank_,
        seen AS order_4
    FROM star
) ranked_
WHERE row_rank_ = 1
ORDER BY CASE WHEN kind IS NULL THEN 1 ELSE 0 END, kind, order_4 DESC;
SELECT COUNT(CASE WHEN active THEN 1 END), GROUP_CONCAT(name ORDER BY name SEPARATOR ', ')
FROM star;
DELIMITER //
CREATE FUNCTION f() RETURNS int
NOT DETERMINISTIC MODIFIES SQL DATA SQL SECURITY INVOKER
BEGIN
    RETURN 1;
END//
DELIMITER ;
-- RC0602 by hand: No counterpart on the target: a comparison with the items of an array
-- SELECT name FROM star WHERE id = $1 AND kind = ANY ($2)

-- findings
-- 3:1: RC0604 adapted: Client command left out: SET statement_timeout = 0
-- 4:1: RC0604 adapted: Client command left out: set_config
-- 5:1: RC0105 adapted: Enumeration becomes a named type: public.star_kind: its columns get a check each
-- 10:5: RC0115 check: Array becomes a JSON array: tags: array as json
-- 11:5: RC0118 check: JSON without the source's own comparison: doc: jsonb as json
-- 12:5: RC0114 check: Instant becomes date and time in UTC: seen: datetime(6) in UTC
-- 6:1: RC0609 adapted: Said in other words: the schema public is left out
-- 15:1: RC0502 adapted: Storage clauses left out: OWNER TO keeper
-- 1:1: RC0609 adapted: Said in other words: a key for id, which is numbered, of public.star
-- 16:1: RC0609 adapted: Said in other words: the schema public is left out
-- 20:1: RC0609 adapted: Said in other words: lines of data as INSERT
-- 23:1: RC0609 adapted: Said in other words: the schema public is left out
-- 24:1: RC0602 by hand: No counterpart on the target: an index on an expression cannot be said in mariadb
-- 25:1: RC0609 adapted: Said in other words: the schema public is left out
-- 26:1: RC0609 adapted: Said in other words: the schema public is left out
-- 27:103: RC0609 adapted: Said in other words: the condition of an upsert as a choice of values
-- 27:1: RC0623 check: Upsert with a difference: the target looks at all keys of the table
-- 28:1: RC0623 check: Upsert with a difference: the target looks at all keys of the table
-- 29:1: RC0609 adapted: Said in other words: the other tables joined to the changed one
-- 30:1: RC0609 adapted: Said in other words: a DELETE that reads other tables, with EXISTS
-- 32:57: RC0611 adapted: NULLs sorted as on the source: NULLs last
-- 32:1: RC0609 adapted: Said in other words: DISTINCT ON as a query around the query
-- 33:8: RC0609 adapted: Said in other words: FILTER as a choice inside of the aggregate
-- 34:1: RC0609 adapted: Said in other words: code in the target's own language
-- 35:1: RC0602 by hand: No counterpart on the target: a comparison with the items of an array
