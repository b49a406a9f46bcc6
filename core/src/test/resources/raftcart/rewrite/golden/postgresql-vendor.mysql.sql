-- to: mysql oracle sqlserver
--
-- PostgreSQL database dump
--
-- Dumped from database version 14.2 (Debian 14.2-1.pgdg110+1)
ALTER TABLE store DROP CONSTRAINT store_address_id_fkey;
-- RC0602 by hand: No counterpart on the target: DROP TRIGGER
-- DROP TRIGGER IF EXISTS last_updated ON public.store
-- RC0602 by hand: No counterpart on the target: DROP INDEX without its table cannot be said in mysql
-- DROP INDEX IF EXISTS public.idx_title
DROP VIEW IF EXISTS staff_list;
-- RC0602 by hand: No counterpart on the target: a sequence
-- DROP SEQUENCE IF EXISTS public.store_store_id_seq
DROP FUNCTION IF EXISTS last_day;
DROP PROCEDURE IF EXISTS last_day;
-- RC0603 by hand: Code is not translated: DROP AGGREGATE
-- DROP AGGREGATE IF EXISTS public.group_concat(text)
-- RC0602 by hand: No counterpart on the target: DROP EXTENSION
-- DROP EXTENSION IF EXISTS plpgsql
DELIMITER //
CREATE FUNCTION _group_concat(p1_ longtext collate utf8mb4_0900_bin, p2_ longtext collate utf8mb4_0900_bin) RETURNS longtext collate utf8mb4_0900_bin
DETERMINISTIC NO SQL SQL SECURITY INVOKER
BEGIN
    RETURN CASE WHEN p2_ IS NULL THEN p1_ ELSE CONCAT(p1_, ', ', p2_) END;
END//
DELIMITER ;
-- RC0603 by hand: Code is not translated: aggregate
-- CREATE AGGREGATE public.group_concat(text) (
--     SFUNC = public._group_concat,
--     STYPE = text
-- )
CREATE TABLE observer (
    observer_id int AUTO_INCREMENT NOT NULL,
    first_name varchar(45) COLLATE utf8mb4_0900_bin NOT NULL,
    rating enum('G', 'PG-13') DEFAULT 'G',
    release_year int CHECK (release_year >= 1901 AND release_year <= 2155),
    rate decimal(4,2) DEFAULT 4.99 NOT NULL,
    special json,
    `fulltext` longtext NOT NULL,
    last_update datetime(6) DEFAULT CURRENT_TIMESTAMP(6) NOT NULL,
    active tinyint(1) DEFAULT TRUE NOT NULL,
    create_date date DEFAULT (CURRENT_DATE) NOT NULL,
    picture longblob,
    ip longtext,
    m longtext,
    r longtext,
    p longtext,
    j json DEFAULT ('{}'),
    x longtext,
    mo decimal(19,2),
    o int unsigned,
    ch char(1) COLLATE utf8mb4_0900_bin,
    b varchar(5),
    iv longtext,
    tz datetime(6),
    t time(6),
    ts datetime(3),
    u char(36) DEFAULT (UUID()),
    h longtext,
    cit longtext,
    d double,
    re float,
    na varchar(63) COLLATE utf8mb4_0900_bin,
    arr2 json,
    gen int GENERATED ALWAYS AS (observer_id * 2) STORED,
    CONSTRAINT rate_pos CHECK (rate > 0),
    CONSTRAINT kinds CHECK (first_name IN ('a', 'b')),
    UNIQUE (observer_id)
);
CREATE TABLE exposure (
    exposure_id int NOT NULL,
    taken_at datetime(6) NOT NULL
);
CREATE TABLE exposure_p2022_01 (
    exposure_id int NOT NULL,
    taken_at datetime(6) NOT NULL
);
-- RC0602 by hand: No counterpart on the target: a table that becomes a partition of another
-- ALTER TABLE ONLY public.exposure ATTACH PARTITION public.exposure_p2022_01 FOR VALUES FROM ('2022-01-01 00:00:00+00') TO ('2022-02-01 00:00:00+00')
CREATE TABLE kid (
    observer_id int AUTO_INCREMENT NOT NULL,
    first_name varchar(45) COLLATE utf8mb4_0900_bin NOT NULL,
    rating enum('G', 'PG-13') DEFAULT 'G',
    release_year int CHECK (release_year >= 1901 AND release_year <= 2155),
    rate decimal(4,2) DEFAULT 4.99 NOT NULL,
    special json,
    `fulltext` longtext NOT NULL,
    last_update datetime(6) DEFAULT CURRENT_TIMESTAMP(6) NOT NULL,
    active tinyint(1) DEFAULT TRUE NOT NULL,
    create_date date DEFAULT (CURRENT_DATE) NOT NULL,
    picture longblob,
    ip longtext,
    m longtext,
    r longtext,
    p longtext,
    j json DEFAULT ('{}'),
    x longtext,
    mo decimal(19,2),
    o int unsigned,
    ch char(1) COLLATE utf8mb4_0900_bin,
    b varchar(5),
    iv longtext,
    tz datetime(6),
    t time(6),
    ts datetime(3),
    u char(36) DEFAULT (UUID()),
    h longtext,
    cit longtext,
    d double,
    re float,
    na varchar(63) COLLATE utf8mb4_0900_bin,
    arr2 json,
    gen int,
    a int,
    UNIQUE (observer_id)
);
CREATE VIEW observer_info AS
SELECT
    a.observer_id,
    a.first_name,
    group_concat(DISTINCT CONCAT(CAST(c.name AS char), ': ', (
        SELECT group_concat(CAST(f.title AS char)) AS group_concat
        FROM plate f
        JOIN plate_band fc_1 ON f.plate_id = fc_1.plate_id
        JOIN plate_observer fa_1 ON f.plate_id = fa_1.plate_id
        WHERE fc_1.band_id = c.band_id AND fa_1.observer_id = a.observer_id
        GROUP BY fa_1.observer_id
    ))) AS plate_info,
    YEAR(a.last_update) AS yr,
    DATE_FORMAT(a.last_update, '%Y-%m-%d') AS d,
    CONCAT(a.first_name, CHAR(32 USING utf8mb4)) AS nm,
    CASE WHEN a.active THEN 'active' ELSE '' END AS notes
FROM observer a
LEFT JOIN plate_observer fa ON a.observer_id = fa.observer_id
LEFT JOIN band c ON fa.plate_id = c.band_id
GROUP BY a.observer_id, a.first_name;
-- RC0602 by hand: No counterpart on the target: a materialized view cannot be said in mysql
-- CREATE MATERIALIZED VIEW public.exposures_by_band AS
--  SELECT c.name AS band,
--     sum(p.amount) AS total_sales
--    FROM public.exposure p
--   GROUP BY c.name
--   ORDER BY (sum(p.amount)) DESC
--   WITH NO DATA
-- RC0602 by hand: No counterpart on the target: a sequence
-- ALTER SEQUENCE public.site_id_seq OWNED BY public.site.id
CREATE TABLE site (
    id int NOT NULL,
    name longtext NOT NULL,
    meta json
) COLLATE utf8mb4_0900_bin;
ALTER TABLE site ADD UNIQUE (id);
ALTER TABLE site MODIFY COLUMN id int AUTO_INCREMENT NOT NULL;
ALTER TABLE site MODIFY COLUMN id int AUTO_INCREMENT NOT NULL;
INSERT INTO observer (observer_id, first_name, last_update, active, picture, special)
VALUES 
    (1, 'Pen\\elope	', TIMESTAMP '2022-02-15 09:34:33.123', TRUE, X'0a0b', '["a", "b c"]'),
    (2, NULL, TIMESTAMP '2022-02-15 09:34:33', FALSE, NULL, NULL);
INSERT INTO site VALUES (1, 'A', '{"a": 1}');
INSERT INTO site
VALUES (2, 'it''s
', '{"a": "b"}');
INSERT INTO site (id, name) VALUES (3, 'x');
ALTER TABLE site AUTO_INCREMENT = 4;
ALTER TABLE observer ADD CONSTRAINT observer_pkey PRIMARY KEY (observer_id);
CREATE UNIQUE INDEX idx_unq ON night (night_date, plate_id, observer_id);
CREATE INDEX low ON observer ((LOWER(first_name)), last_update DESC);
DELIMITER //
CREATE TRIGGER last_updated BEFORE UPDATE ON observer FOR EACH ROW
BEGIN
    SET NEW.last_update = CURRENT_TIMESTAMP(6);
END//
DELIMITER ;
-- RC0603 by hand: Code is not translated: rule
-- CREATE RULE r AS ON DELETE TO public.observer DO INSTEAD NOTHING
ALTER TABLE store ADD CONSTRAINT store_address_id_fkey FOREIGN KEY (address_id) REFERENCES address (address_id) ON DELETE RESTRICT ON UPDATE CASCADE;
ALTER TABLE store ADD CONSTRAINT fk2 FOREIGN KEY (a) REFERENCES address (address_id);
-- RC0602 by hand: No counterpart on the target: security of single rows
-- ALTER TABLE public.store ENABLE ROW LEVEL SECURITY
-- RC0602 by hand: No counterpart on the target: policy
-- CREATE POLICY p ON public.store USING (true)
-- RC0602 by hand: No counterpart on the target: publication
-- CREATE PUBLICATION pub FOR ALL TABLES
GRANT SELECT, INSERT ON observer TO reader;
-- RC0602 by hand: No counterpart on the target: GRANT on other than tables
-- GRANT ALL ON FUNCTION public.last_updated() TO reader
-- RC0602 by hand: No counterpart on the target: the right SELECT on sequence
-- GRANT SELECT ON SEQUENCE public.site_id_seq TO reader
-- RC0602 by hand: No counterpart on the target: ALTER DEFAULT
-- ALTER DEFAULT PRIVILEGES FOR ROLE postgres IN SCHEMA public GRANT ALL ON TABLES TO postgres
ALTER TABLE observer MODIFY COLUMN first_name varchar(45) COLLATE utf8mb4_0900_bin NOT NULL COMMENT 'the name';
-- RC0602 by hand: No counterpart on the target: REFRESH
-- REFRESH MATERIALIZED VIEW public.exposures_by_band
-- RC0602 by hand: No counterpart on the target: another script, which the client runs here
-- \i more.sql

-- findings
-- 6:1: RC0604 adapted: Client command left out: SET statement_timeout = 0
-- 7:1: RC0604 adapted: Client command left out: SET lock_timeout = 0
-- 8:1: RC0604 adapted: Client command left out: SET idle_in_transaction_session_timeout = 0
-- 9:1: RC0604 adapted: Client command left out: SET client_encoding = 'UTF8'
-- 10:1: RC0604 adapted: Client command left out: SET standard_conforming_strings = on
-- 11:1: RC0604 adapted: Client command left out: set_config
-- 12:1: RC0604 adapted: Client command left out: SET check_function_bodies = false
-- 13:1: RC0604 adapted: Client command left out: SET xmloption = content
-- 14:1: RC0604 adapted: Client command left out: SET client_min_messages = warning
-- 15:1: RC0604 adapted: Client command left out: SET row_security = off
-- 16:1: RC0627 check: Said in other words, with a difference: without IF EXISTS the statement can fail
-- 16:1: RC0609 adapted: Said in other words: the schema public is left out
-- 17:1: RC0602 by hand: No counterpart on the target: DROP TRIGGER
-- 18:1: RC0602 by hand: No counterpart on the target: DROP INDEX without its table cannot be said in mysql
-- 19:1: RC0609 adapted: Said in other words: the schema public is left out
-- 20:1: RC0602 by hand: No counterpart on the target: a sequence
-- 21:1: RC0609 adapted: Said in other words: the schema public is left out
-- 22:1: RC0603 by hand: Code is not translated: DROP AGGREGATE
-- 23:1: RC0604 adapted: Client command left out: DROP TYPE: columns have the type itself
-- 24:1: RC0604 adapted: Client command left out: DROP DOMAIN: columns have the type itself
-- 25:1: RC0602 by hand: No counterpart on the target: DROP EXTENSION
-- 26:1: RC0604 adapted: Client command left out: DROP SCHEMA: the default schema stays
-- 27:1: RC0604 adapted: Client command left out: the schema public is there
-- 28:1: RC0604 adapted: Client command left out: ALTER SCHEMA
-- 29:1: RC0502 adapted: Storage clauses left out: the comment on public
-- 30:1: RC0604 adapted: Client command left out: CREATE EXTENSION plpgsql
-- 31:1: RC0604 adapted: Client command left out: COMMENT ON EXTENSION
-- 32:1: RC0105 adapted: Enumeration becomes a named type: public.mpaa_rating: its columns get a check each
-- 36:1: RC0604 adapted: Client command left out: ALTER TYPE
-- 37:1: RC0609 adapted: Said in other words: public.year: its columns get the type and the checks themselves
-- 39:1: RC0609 adapted: Said in other words: code in the target's own language
-- 39:1: RC0609 adapted: Said in other words: the schema public is left out
-- 47:1: RC0609 adapted: Said in other words: code in the target's own language
-- 47:1: RC0609 adapted: Said in other words: what the function does goes into the triggers that call it
-- 54:1: RC0603 by hand: Code is not translated: aggregate
-- 58:1: RC0604 adapted: Client command left out: SET default_tablespace = ''
-- 59:1: RC0604 adapted: Client command left out: SET default_with_oids = false
-- 60:1: RC0604 adapted: Client command left out: SET default_table_access_method = heap
-- 61:1: RC0627 check: Said in other words, with a difference: without the sequence public.observer_observer_id_seq; a column that takes its numbers is numbered itself
-- 67:1: RC0502 adapted: Storage clauses left out: OWNER TO postgres
-- 69:5: RC0609 adapted: Said in other words: numbers of a sequence as a column that is numbered
-- 74:5: RC0115 check: Array becomes a JSON array: special: array as json
-- 75:5: RC0111 check: Type without counterpart crosses as text or bytes: fulltext: tsvector as longtext
-- 80:5: RC0111 check: Type without counterpart crosses as text or bytes: ip: inet as longtext
-- 80:14: RC0111 check: Type without counterpart crosses as text or bytes: m: macaddr as longtext
-- 80:25: RC0111 check: Type without counterpart crosses as text or bytes: r: int4range as longtext
-- 80:38: RC0111 check: Type without counterpart crosses as text or bytes: p: point as longtext
-- 80:47: RC0118 check: JSON without the source's own comparison: j: jsonb as json
-- 80:76: RC0111 check: Type without counterpart crosses as text or bytes: x: xml as longtext
-- 80:111: RC0111 check: Type without counterpart crosses as text or bytes: b: bit string as text of zeros and ones
-- 80:129: RC0111 check: Type without counterpart crosses as text or bytes: iv: interval as longtext
-- 80:142: RC0114 check: Instant becomes date and time in UTC: tz: datetime(6) in UTC
-- 80:247: RC0608 adapted: Function spelled otherwise: gen_random_uuid means new_uuid
-- 80:266: RC0111 check: Type without counterpart crosses as text or bytes: h: hstore as longtext
-- 80:295: RC0116 check: NaN and infinity are refused: d: double
-- 80:315: RC0116 check: NaN and infinity are refused: re: float
-- 80:333: RC0115 check: Array becomes a JSON array: arr2: array as json
-- 1:1: RC0609 adapted: Said in other words: a key for observer_id, which is numbered, of public.observer
-- 68:1: RC0409 check: Accents do not count on the target: cit
-- 68:1: RC0609 adapted: Said in other words: the schema public is left out
-- 85:1: RC0502 adapted: Storage clauses left out: ALTER COLUMN first_name SET STATISTICS 100
-- 86:1: RC0502 adapted: Storage clauses left out: REPLICA IDENTITY FULL
-- 89:5: RC0114 check: Instant becomes date and time in UTC: taken_at: datetime(6) in UTC
-- 87:1: RC0627 check: Said in other words, with a difference: the table is not partitioned (was by RANGE (taken_at)): no partitions are known here
-- 87:1: RC0609 adapted: Said in other words: the schema public is left out
-- 94:5: RC0114 check: Instant becomes date and time in UTC: taken_at: datetime(6) in UTC
-- 92:1: RC0609 adapted: Said in other words: the schema public is left out
-- 96:1: RC0602 by hand: No counterpart on the target: a table that becomes a partition of another
-- 97:1: RC0627 check: Said in other words, with a difference: it has the columns of public.observer, of which queries do not read its rows any more, but not its further checks and numbers
-- 69:5: RC0609 adapted: Said in other words: numbers of a sequence as a column that is numbered
-- 74:5: RC0115 check: Array becomes a JSON array: special: array as json
-- 75:5: RC0111 check: Type without counterpart crosses as text or bytes: fulltext: tsvector as longtext
-- 80:5: RC0111 check: Type without counterpart crosses as text or bytes: ip: inet as longtext
-- 80:14: RC0111 check: Type without counterpart crosses as text or bytes: m: macaddr as longtext
-- 80:25: RC0111 check: Type without counterpart crosses as text or bytes: r: int4range as longtext
-- 80:38: RC0111 check: Type without counterpart crosses as text or bytes: p: point as longtext
-- 80:47: RC0118 check: JSON without the source's own comparison: j: jsonb as json
-- 80:76: RC0111 check: Type without counterpart crosses as text or bytes: x: xml as longtext
-- 80:111: RC0111 check: Type without counterpart crosses as text or bytes: b: bit string as text of zeros and ones
-- 80:129: RC0111 check: Type without counterpart crosses as text or bytes: iv: interval as longtext
-- 80:142: RC0114 check: Instant becomes date and time in UTC: tz: datetime(6) in UTC
-- 80:247: RC0608 adapted: Function spelled otherwise: gen_random_uuid means new_uuid
-- 80:266: RC0111 check: Type without counterpart crosses as text or bytes: h: hstore as longtext
-- 80:295: RC0116 check: NaN and infinity are refused: d: double
-- 80:315: RC0116 check: NaN and infinity are refused: re: float
-- 80:333: RC0115 check: Array becomes a JSON array: arr2: array as json
-- 1:1: RC0609 adapted: Said in other words: a key for observer_id, which is numbered, of public.kid
-- 97:1: RC0409 check: Accents do not count on the target: cit
-- 97:1: RC0609 adapted: Said in other words: the schema public is left out
-- 101:5: RC0606 check: Function is not in the dictionary: public.group_concat
-- 101:78: RC0606 check: Function is not in the dictionary: public.group_concat
-- 107:5: RC0608 adapted: Function spelled otherwise: date_part means extract_year
-- 108:28: RC0609 adapted: Said in other words: the mask YYYY-MM-DD is %Y-%m-%d
-- 109:29: RC0608 adapted: Function spelled otherwise: chr means char_of
-- 98:1: RC0609 adapted: Said in other words: the schema public is left out
-- 118:1: RC0602 by hand: No counterpart on the target: a materialized view cannot be said in mysql
-- 125:1: RC0627 check: Said in other words, with a difference: without the sequence public.site_id_seq; a column that takes its numbers is numbered itself
-- 132:1: RC0602 by hand: No counterpart on the target: a sequence
-- 133:1: RC0609 adapted: Said in other words: the schema public is left out
-- 1:1: RC0609 adapted: Said in other words: a key for id, which is numbered, of public.site
-- 134:1: RC0609 adapted: Said in other words: the schema public is left out
-- 142:1: RC0609 adapted: Said in other words: numbers of a sequence as a column that is numbered
-- 142:1: RC0609 adapted: Said in other words: the schema public is left out
-- 144:1: RC0609 adapted: Said in other words: lines of data as INSERT
-- 148:1: RC0609 adapted: Said in other words: lines of data as INSERT
-- 150:1: RC0609 adapted: Said in other words: the schema public is left out
-- 151:1: RC0609 adapted: Said in other words: the schema public is left out
-- 152:1: RC0609 adapted: Said in other words: the numbers of observer.observer_id
-- 153:1: RC0609 adapted: Said in other words: the numbers of site.id
-- 153:1: RC0609 adapted: Said in other words: the schema public is left out
-- 154:1: RC0609 adapted: Said in other words: the schema public is left out
-- 156:1: RC0502 adapted: Storage clauses left out: CLUSTER ON observer_pkey
-- 157:1: RC0627 check: Said in other words, with a difference: an index of the kind GIST is left out
-- 158:1: RC0609 adapted: Said in other words: the schema public is left out
-- 159:1: RC0502 adapted: Storage clauses left out: jsonb_path_ops
-- 159:1: RC0627 check: Said in other words, with a difference: an index of the kind GIN is left out
-- 160:1: RC0407 check: Partial index covers all rows: all rows are indexed
-- 160:1: RC0502 adapted: Storage clauses left out: text_pattern_ops
-- 160:1: RC0502 adapted: Storage clauses left out: NULLS LAST of an index
-- 160:1: RC0609 adapted: Said in other words: the schema public is left out
-- 161:1: RC0604 adapted: Client command left out: ALTER INDEX
-- 162:1: RC0609 adapted: Said in other words: code in the target's own language
-- 162:1: RC0609 adapted: Said in other words: the schema public is left out
-- 163:1: RC0603 by hand: Code is not translated: rule
-- 164:1: RC0609 adapted: Said in other words: the schema public is left out
-- 165:9: RC0406 check: Foreign key is checked at once: checked at once
-- 166:35: RC0627 check: Said in other words, with a difference: left out: NOT VALID
-- 166:1: RC0609 adapted: Said in other words: the schema public is left out
-- 167:35: RC0627 check: Said in other words, with a difference: a constraint that nothing else can say is left out: EXCLUDE USING gist (r WITH &&)
-- 168:26: RC0602 by hand: No counterpart on the target: security of single rows
-- 169:1: RC0602 by hand: No counterpart on the target: policy
-- 170:1: RC0602 by hand: No counterpart on the target: publication
-- 171:1: RC0626 check: Right in other words: rights on the default schema are left out
-- 172:1: RC0626 check: Right in other words: rights on the default schema are left out
-- 173:1: RC0609 adapted: Said in other words: the schema public is left out
-- 174:1: RC0602 by hand: No counterpart on the target: GRANT on other than tables
-- 175:1: RC0602 by hand: No counterpart on the target: the right SELECT on sequence
-- 176:1: RC0602 by hand: No counterpart on the target: ALTER DEFAULT
-- 177:1: RC0609 adapted: Said in other words: the whole definition of first_name
-- 177:1: RC0609 adapted: Said in other words: the schema public is left out
-- 178:1: RC0604 adapted: Client command left out: COMMENT ON CONSTRAINT
-- 179:1: RC0602 by hand: No counterpart on the target: REFRESH
-- 180:1: RC0604 adapted: Client command left out: \connect other
-- 181:1: RC0602 by hand: No counterpart on the target: another script, which the client runs here
