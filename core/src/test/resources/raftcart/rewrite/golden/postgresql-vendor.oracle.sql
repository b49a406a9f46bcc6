-- to: mysql oracle sqlserver
--
-- PostgreSQL database dump
--
-- Dumped from database version 14.2 (Debian 14.2-1.pgdg110+1)
ALTER TABLE store DROP CONSTRAINT store_address_id_fkey;
-- RC0602 by hand: No counterpart on the target: DROP TRIGGER
-- DROP TRIGGER IF EXISTS last_updated ON public.store
DROP INDEX idx_title;
DROP VIEW staff_list;
DROP SEQUENCE store_store_id_seq;
-- RC0602 by hand: No counterpart on the target: DROP FUNCTION
-- DROP FUNCTION IF EXISTS public.last_day(timestamp with time zone)
-- RC0603 by hand: Code is not translated: DROP AGGREGATE
-- DROP AGGREGATE IF EXISTS public.group_concat(text)
-- RC0602 by hand: No counterpart on the target: DROP EXTENSION
-- DROP EXTENSION IF EXISTS plpgsql
-- RC0603 by hand: Code is not translated: a function, which is not written for this target from this source
-- CREATE FUNCTION public._group_concat(text, text) RETURNS text
--     LANGUAGE sql IMMUTABLE
--     AS $_$
-- SELECT CASE
--   WHEN $2 IS NULL THEN $1
--   ELSE $1 || ', ' || $2
-- END
-- $_$
-- RC0603 by hand: Code is not translated: a function, which is not written for this target from this source
-- CREATE FUNCTION public.last_updated() RETURNS trigger
--     LANGUAGE plpgsql
--     AS $$
-- BEGIN
--     NEW.last_update = CURRENT_TIMESTAMP;
--     RETURN NEW;
-- END $$
-- RC0603 by hand: Code is not translated: aggregate
-- CREATE AGGREGATE public.group_concat(text) (
--     SFUNC = public._group_concat,
--     STYPE = text
-- )
CREATE SEQUENCE observer_observer_id_seq START WITH 1 INCREMENT BY 1 CACHE 1;
CREATE TABLE observer (
    observer_id number(10) DEFAULT observer_observer_id_seq.NEXTVAL NOT NULL,
    first_name varchar2(45 char) NOT NULL,
    rating varchar2(5 char) DEFAULT 'G' CHECK (rating IN ('G', 'PG-13')),
    release_year number(10) CHECK (release_year >= 1901 AND release_year <= 2155),
    rate number(4,2) DEFAULT 4.99 NOT NULL,
    special clob,
    fulltext clob NOT NULL,
    last_update timestamp(6) DEFAULT SYSTIMESTAMP NOT NULL,
    active number(1) DEFAULT 1 NOT NULL,
    create_date date DEFAULT TRUNC(SYSDATE) NOT NULL,
    picture blob,
    ip clob,
    m clob,
    r clob,
    p clob,
    j clob DEFAULT '{}',
    x xmltype,
    mo number(19,2),
    o number(10) CHECK (O BETWEEN 0 AND 4294967295),
    ch char(1 char),
    b raw(1),
    iv clob,
    tz timestamp(6) with time zone,
    t interval day(0) to second(6),
    ts timestamp(3),
    u char(36) DEFAULT SYS_GUID(),
    h clob,
    cit clob,
    d binary_double,
    re binary_float,
    na varchar2(63 char),
    arr2 clob,
    gen number(10) GENERATED ALWAYS AS (observer_id * 2) VIRTUAL,
    CONSTRAINT rate_pos CHECK (rate > 0),
    CONSTRAINT kinds CHECK (first_name IN ('a', 'b'))
);
CREATE TABLE exposure (
    exposure_id number(10) NOT NULL,
    taken_at timestamp(6) with time zone NOT NULL
);
CREATE TABLE exposure_p2022_01 (
    exposure_id number(10) NOT NULL,
    taken_at timestamp(6) with time zone NOT NULL
);
-- RC0602 by hand: No counterpart on the target: a table that becomes a partition of another
-- ALTER TABLE ONLY public.exposure ATTACH PARTITION public.exposure_p2022_01 FOR VALUES FROM ('2022-01-01 00:00:00+00') TO ('2022-02-01 00:00:00+00')
CREATE TABLE kid (
    observer_id number(10) DEFAULT observer_observer_id_seq.NEXTVAL NOT NULL,
    first_name varchar2(45 char) NOT NULL,
    rating varchar2(5 char) DEFAULT 'G' CHECK (rating IN ('G', 'PG-13')),
    release_year number(10) CHECK (release_year >= 1901 AND release_year <= 2155),
    rate number(4,2) DEFAULT 4.99 NOT NULL,
    special clob,
    fulltext clob NOT NULL,
    last_update timestamp(6) DEFAULT SYSTIMESTAMP NOT NULL,
    active number(1) DEFAULT 1 NOT NULL,
    create_date date DEFAULT TRUNC(SYSDATE) NOT NULL,
    picture blob,
    ip clob,
    m clob,
    r clob,
    p clob,
    j clob DEFAULT '{}',
    x xmltype,
    mo number(19,2),
    o number(10) CHECK (O BETWEEN 0 AND 4294967295),
    ch char(1 char),
    b raw(1),
    iv clob,
    tz timestamp(6) with time zone,
    t interval day(0) to second(6),
    ts timestamp(3),
    u char(36) DEFAULT SYS_GUID(),
    h clob,
    cit clob,
    d binary_double,
    re binary_float,
    na varchar2(63 char),
    arr2 clob,
    gen number(10),
    a number(10)
);
CREATE VIEW observer_info AS
SELECT
    a.observer_id,
    a.first_name,
    group_concat(DISTINCT CAST(c.name AS varchar2(4000)) || ': ' || (
        SELECT group_concat(CAST(f.title AS varchar2(4000))) AS group_concat
        FROM plate f
        JOIN plate_band fc_1 ON f.plate_id = fc_1.plate_id
        JOIN plate_observer fa_1 ON f.plate_id = fa_1.plate_id
        WHERE fc_1.band_id = c.band_id AND fa_1.observer_id = a.observer_id
        GROUP BY fa_1.observer_id
    )) AS plate_info,
    EXTRACT(YEAR FROM a.last_update) AS yr,
    TO_CHAR(a.last_update, 'YYYY-MM-DD') AS d,
    a.first_name || CHR(32) AS nm,
    CASE WHEN a.active = 1 THEN 'active' ELSE '' END AS notes
FROM observer a
LEFT JOIN plate_observer fa ON a.observer_id = fa.observer_id
LEFT JOIN band c ON fa.plate_id = c.band_id
GROUP BY a.observer_id, a.first_name;
CREATE MATERIALIZED VIEW exposures_by_band AS
SELECT c.name AS band, SUM(p.amount) AS total_sales
FROM exposure p
GROUP BY c.name
ORDER BY SUM(p.amount) DESC;
CREATE SEQUENCE site_id_seq START WITH 1 INCREMENT BY 1 MAXVALUE 2147483647 CACHE 1;
CREATE TABLE site (
    id number(10) NOT NULL,
    name clob NOT NULL,
    meta clob
);
-- RC0602 by hand: No counterpart on the target: a column that becomes numbered cannot be said in oracle
-- ALTER TABLE public.site ALTER COLUMN id ADD GENERATED ALWAYS AS IDENTITY (
--     SEQUENCE NAME public.site_id_seq2
--     START WITH 1
--     INCREMENT BY 1
--     NO MINVALUE
--     NO MAXVALUE
--     CACHE 1
-- )
ALTER TABLE site MODIFY id DEFAULT site_id_seq.NEXTVAL;
INSERT INTO observer (observer_id, first_name, last_update, active, picture, special)
SELECT 1, 'Pen\elope	', TIMESTAMP '2022-02-15 09:34:33.123', 1, HEXTORAW('0a0b'), '["a", "b c"]' FROM DUAL
UNION ALL SELECT 2, NULL, TIMESTAMP '2022-02-15 09:34:33', 0, NULL, NULL FROM DUAL;
INSERT INTO site VALUES (1, 'A', '{"a": 1}');
INSERT INTO site
VALUES (2, 'it''s
', '{"a": "b"}');
INSERT INTO site (id, name) VALUES (3, 'x');
ALTER SEQUENCE observer_observer_id_seq RESTART WITH 201;
ALTER SEQUENCE site_id_seq RESTART WITH 4;
ALTER TABLE observer ADD CONSTRAINT observer_pkey PRIMARY KEY (observer_id);
CREATE UNIQUE INDEX idx_unq ON night (night_date, plate_id, observer_id);
CREATE INDEX low ON observer (LOWER(first_name), last_update DESC);
-- RC0603 by hand: Code is not translated: a trigger, which is not written for this target from this source
-- CREATE TRIGGER last_updated BEFORE UPDATE ON public.observer FOR EACH ROW EXECUTE FUNCTION public.last_updated()
-- RC0603 by hand: Code is not translated: rule
-- CREATE RULE r AS ON DELETE TO public.observer DO INSTEAD NOTHING
ALTER TABLE store ADD CONSTRAINT store_address_id_fkey FOREIGN KEY (address_id) REFERENCES address (address_id) DEFERRABLE INITIALLY DEFERRED;
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
GRANT SELECT ON site_id_seq TO reader;
-- RC0602 by hand: No counterpart on the target: ALTER DEFAULT
-- ALTER DEFAULT PRIVILEGES FOR ROLE postgres IN SCHEMA public GRANT ALL ON TABLES TO postgres
COMMENT ON COLUMN observer.first_name IS 'the name';
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
-- 18:1: RC0627 check: Said in other words, with a difference: without IF EXISTS the statement can fail
-- 18:1: RC0609 adapted: Said in other words: the schema public is left out
-- 19:1: RC0627 check: Said in other words, with a difference: without IF EXISTS the statement can fail
-- 19:1: RC0609 adapted: Said in other words: the schema public is left out
-- 20:1: RC0627 check: Said in other words, with a difference: without IF EXISTS the statement can fail
-- 20:1: RC0609 adapted: Said in other words: the schema public is left out
-- 21:1: RC0602 by hand: No counterpart on the target: DROP FUNCTION
-- 22:1: RC0603 by hand: Code is not translated: DROP AGGREGATE
-- 23:1: RC0627 check: Said in other words, with a difference: without IF EXISTS the statement can fail
-- 23:1: RC0604 adapted: Client command left out: DROP TYPE: columns have the type itself
-- 24:1: RC0627 check: Said in other words, with a difference: without IF EXISTS the statement can fail
-- 24:1: RC0604 adapted: Client command left out: DROP DOMAIN: columns have the type itself
-- 25:1: RC0602 by hand: No counterpart on the target: DROP EXTENSION
-- 26:1: RC0627 check: Said in other words, with a difference: without IF EXISTS the statement can fail
-- 26:1: RC0604 adapted: Client command left out: DROP SCHEMA: the default schema stays
-- 27:1: RC0604 adapted: Client command left out: the schema public is there
-- 28:1: RC0604 adapted: Client command left out: ALTER SCHEMA
-- 29:1: RC0502 adapted: Storage clauses left out: the comment on public
-- 30:1: RC0604 adapted: Client command left out: CREATE EXTENSION plpgsql
-- 31:1: RC0604 adapted: Client command left out: COMMENT ON EXTENSION
-- 32:1: RC0105 adapted: Enumeration becomes a named type: public.mpaa_rating: its columns get a check each
-- 36:1: RC0604 adapted: Client command left out: ALTER TYPE
-- 37:1: RC0609 adapted: Said in other words: public.year: its columns get the type and the checks themselves
-- 39:1: RC0603 by hand: Code is not translated: a function, which is not written for this target from this source
-- 47:1: RC0603 by hand: Code is not translated: a function, which is not written for this target from this source
-- 54:1: RC0603 by hand: Code is not translated: aggregate
-- 58:1: RC0604 adapted: Client command left out: SET default_tablespace = ''
-- 59:1: RC0604 adapted: Client command left out: SET default_with_oids = false
-- 60:1: RC0604 adapted: Client command left out: SET default_table_access_method = heap
-- 61:1: RC0609 adapted: Said in other words: the schema public is left out
-- 67:1: RC0502 adapted: Storage clauses left out: OWNER TO postgres
-- 71:5: RC0120 adapted: Enumeration becomes a text: rating as a text with a check
-- 74:5: RC0115 check: Array becomes a JSON array: special: array as CLOB
-- 75:5: RC0111 check: Type without counterpart crosses as text or bytes: fulltext: tsvector as CLOB
-- 80:5: RC0111 check: Type without counterpart crosses as text or bytes: ip: inet as CLOB
-- 80:14: RC0111 check: Type without counterpart crosses as text or bytes: m: macaddr as CLOB
-- 80:25: RC0111 check: Type without counterpart crosses as text or bytes: r: int4range as CLOB
-- 80:38: RC0111 check: Type without counterpart crosses as text or bytes: p: point as CLOB
-- 80:93: RC0101 adapted: Unsigned range kept by a check: o: NUMBER(10) for unsigned 32 bits
-- 80:111: RC0111 check: Type without counterpart crosses as text or bytes: b: bits of any number as RAW(1)
-- 80:129: RC0111 check: Type without counterpart crosses as text or bytes: iv: interval as CLOB
-- 80:171: RC0106 adapted: Time beyond a day becomes an interval: t: INTERVAL DAY(0) TO SECOND(6), which counts on after 24 hours
-- 80:247: RC0608 adapted: Function spelled otherwise: gen_random_uuid means new_uuid
-- 80:266: RC0111 check: Type without counterpart crosses as text or bytes: h: hstore as CLOB
-- 80:276: RC0612 check: Comparison may ignore case on one engine: cit
-- 80:333: RC0115 check: Array becomes a JSON array: arr2: array as CLOB
-- 68:1: RC0609 adapted: Said in other words: the schema public is left out
-- 80:247: RC0607 check: Function with a difference: new_uuid: 16 bytes, not a text with hyphens
-- 81:5: RC0502 adapted: Storage clauses left out: STORED: the value is computed at reading
-- 85:1: RC0502 adapted: Storage clauses left out: ALTER COLUMN first_name SET STATISTICS 100
-- 86:1: RC0502 adapted: Storage clauses left out: REPLICA IDENTITY FULL
-- 87:1: RC0627 check: Said in other words, with a difference: the table is not partitioned (was by RANGE (taken_at)): no partitions are known here
-- 87:1: RC0609 adapted: Said in other words: the schema public is left out
-- 92:1: RC0609 adapted: Said in other words: the schema public is left out
-- 96:1: RC0602 by hand: No counterpart on the target: a table that becomes a partition of another
-- 97:1: RC0627 check: Said in other words, with a difference: it has the columns of public.observer, of which queries do not read its rows any more, but not its further checks and numbers
-- 71:5: RC0120 adapted: Enumeration becomes a text: rating as a text with a check
-- 74:5: RC0115 check: Array becomes a JSON array: special: array as CLOB
-- 75:5: RC0111 check: Type without counterpart crosses as text or bytes: fulltext: tsvector as CLOB
-- 80:5: RC0111 check: Type without counterpart crosses as text or bytes: ip: inet as CLOB
-- 80:14: RC0111 check: Type without counterpart crosses as text or bytes: m: macaddr as CLOB
-- 80:25: RC0111 check: Type without counterpart crosses as text or bytes: r: int4range as CLOB
-- 80:38: RC0111 check: Type without counterpart crosses as text or bytes: p: point as CLOB
-- 80:93: RC0101 adapted: Unsigned range kept by a check: o: NUMBER(10) for unsigned 32 bits
-- 80:111: RC0111 check: Type without counterpart crosses as text or bytes: b: bits of any number as RAW(1)
-- 80:129: RC0111 check: Type without counterpart crosses as text or bytes: iv: interval as CLOB
-- 80:171: RC0106 adapted: Time beyond a day becomes an interval: t: INTERVAL DAY(0) TO SECOND(6), which counts on after 24 hours
-- 80:247: RC0608 adapted: Function spelled otherwise: gen_random_uuid means new_uuid
-- 80:266: RC0111 check: Type without counterpart crosses as text or bytes: h: hstore as CLOB
-- 80:276: RC0612 check: Comparison may ignore case on one engine: cit
-- 80:333: RC0115 check: Array becomes a JSON array: arr2: array as CLOB
-- 97:1: RC0609 adapted: Said in other words: the schema public is left out
-- 80:247: RC0607 check: Function with a difference: new_uuid: 16 bytes, not a text with hyphens
-- 101:5: RC0606 check: Function is not in the dictionary: public.group_concat
-- 101:78: RC0606 check: Function is not in the dictionary: public.group_concat
-- 101:44: RC0613 check: Empty text and NULL: a NULL makes the whole NULL on the source, on the target it adds nothing
-- 107:5: RC0608 adapted: Function spelled otherwise: date_part means extract_year
-- 109:29: RC0608 adapted: Function spelled otherwise: chr means char_of
-- 109:19: RC0613 check: Empty text and NULL: a NULL makes the whole NULL on the source, on the target it adds nothing
-- 111:18: RC0614 adapted: Condition made explicit: a truth value as a condition
-- 112:18: RC0613 check: Empty text and NULL: '' is NULL on the target
-- 98:1: RC0609 adapted: Said in other words: the schema public is left out
-- 118:1: RC0502 adapted: Storage clauses left out: WITH NO DATA
-- 118:1: RC0609 adapted: Said in other words: the schema public is left out
-- 125:1: RC0609 adapted: Said in other words: the schema public is left out
-- 132:1: RC0502 adapted: Storage clauses left out: OWNED BY public.site.id
-- 133:1: RC0609 adapted: Said in other words: the schema public is left out
-- 134:1: RC0602 by hand: No counterpart on the target: a column that becomes numbered cannot be said in oracle
-- 142:1: RC0609 adapted: Said in other words: the schema public is left out
-- 144:1: RC0609 adapted: Said in other words: lines of data as INSERT
-- 148:1: RC0609 adapted: Said in other words: lines of data as INSERT
-- 150:1: RC0609 adapted: Said in other words: the schema public is left out
-- 151:1: RC0609 adapted: Said in other words: the schema public is left out
-- 152:1: RC0609 adapted: Said in other words: the schema public is left out
-- 153:1: RC0609 adapted: Said in other words: the schema public is left out
-- 154:1: RC0609 adapted: Said in other words: the schema public is left out
-- 156:1: RC0502 adapted: Storage clauses left out: CLUSTER ON observer_pkey
-- 157:1: RC0627 check: Said in other words, with a difference: an index of the kind GIST is left out
-- 158:1: RC0627 check: Said in other words, with a difference: one engine takes two NULLs in the key for duplicates, the other does not
-- 158:1: RC0609 adapted: Said in other words: the schema public is left out
-- 159:1: RC0502 adapted: Storage clauses left out: jsonb_path_ops
-- 159:1: RC0627 check: Said in other words, with a difference: an index of the kind GIN is left out
-- 160:1: RC0407 check: Partial index covers all rows: all rows are indexed
-- 160:1: RC0502 adapted: Storage clauses left out: text_pattern_ops
-- 160:1: RC0502 adapted: Storage clauses left out: NULLS LAST of an index
-- 160:1: RC0609 adapted: Said in other words: the schema public is left out
-- 161:1: RC0604 adapted: Client command left out: ALTER INDEX
-- 162:1: RC0603 by hand: Code is not translated: a trigger, which is not written for this target from this source
-- 163:1: RC0603 by hand: Code is not translated: rule
-- 165:9: RC0627 check: Said in other words, with a difference: the foreign key to public.address does without ON UPDATE CASCADE
-- 164:1: RC0609 adapted: Said in other words: the schema public is left out
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
-- 175:1: RC0626 check: Right in other words: the right to draw numbers from a sequence, for that to read its last one
-- 175:1: RC0609 adapted: Said in other words: the schema public is left out
-- 176:1: RC0602 by hand: No counterpart on the target: ALTER DEFAULT
-- 177:1: RC0609 adapted: Said in other words: the schema public is left out
-- 178:1: RC0604 adapted: Client command left out: COMMENT ON CONSTRAINT
-- 179:1: RC0602 by hand: No counterpart on the target: REFRESH
-- 180:1: RC0604 adapted: Client command left out: \connect other
-- 181:1: RC0602 by hand: No counterpart on the target: another script, which the client runs here
