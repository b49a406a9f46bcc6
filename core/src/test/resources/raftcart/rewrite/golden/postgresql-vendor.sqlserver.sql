-- to: mysql oracle sqlserver
--
-- PostgreSQL database dump
--
-- Dumped from database version 14.2 (Debian 14.2-1.pgdg110+1)
ALTER TABLE dbo.store DROP CONSTRAINT IF EXISTS store_address_id_fkey;
-- RC0602 by hand: No counterpart on the target: DROP TRIGGER
-- DROP TRIGGER IF EXISTS last_updated ON public.store
-- RC0602 by hand: No counterpart on the target: DROP INDEX without its table cannot be said in sqlserver
-- DROP INDEX IF EXISTS public.idx_title
DROP VIEW IF EXISTS dbo.staff_list;
DROP SEQUENCE IF EXISTS dbo.store_store_id_seq;
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
CREATE SEQUENCE dbo.observer_observer_id_seq START WITH 1 INCREMENT BY 1 CACHE 1;
CREATE TABLE dbo.observer (
    observer_id int DEFAULT NEXT VALUE FOR dbo.observer_observer_id_seq NOT NULL,
    first_name nvarchar(45) COLLATE Latin1_General_100_BIN2 NOT NULL,
    rating nvarchar(5) DEFAULT 'G' CHECK (rating IN ('G', 'PG-13')),
    release_year int CHECK (release_year >= 1901 AND release_year <= 2155),
    rate decimal(4,2) DEFAULT 4.99 NOT NULL,
    special nvarchar(max),
    fulltext nvarchar(max) NOT NULL,
    last_update datetime2(6) DEFAULT GETDATE() NOT NULL,
    active bit DEFAULT 1 NOT NULL,
    create_date date DEFAULT CAST(GETDATE() AS DATE) NOT NULL,
    picture varbinary(max),
    ip nvarchar(max),
    m nvarchar(max),
    r nvarchar(max),
    p nvarchar(max),
    j nvarchar(max) DEFAULT '{}',
    x xml,
    mo decimal(19,2),
    o bigint CHECK (o BETWEEN 0 AND 4294967295),
    ch nchar(1) COLLATE Latin1_General_100_BIN2,
    b binary(1),
    iv nvarchar(max),
    tz datetimeoffset(6),
    t time(6),
    ts datetime2(3),
    u uniqueidentifier DEFAULT NEWID(),
    h nvarchar(max),
    cit nvarchar(max),
    d float,
    re real,
    na nvarchar(63) COLLATE Latin1_General_100_BIN2,
    arr2 nvarchar(max),
    gen AS (CAST(observer_id * 2 AS int)) PERSISTED,
    CONSTRAINT rate_pos CHECK (rate > 0),
    CONSTRAINT kinds CHECK (first_name IN ('a', 'b'))
);
CREATE TABLE dbo.exposure (
    exposure_id int NOT NULL,
    taken_at datetimeoffset(6) NOT NULL
);
CREATE TABLE dbo.exposure_p2022_01 (
    exposure_id int NOT NULL,
    taken_at datetimeoffset(6) NOT NULL
);
-- RC0602 by hand: No counterpart on the target: a table that becomes a partition of another
-- ALTER TABLE ONLY public.exposure ATTACH PARTITION public.exposure_p2022_01 FOR VALUES FROM ('2022-01-01 00:00:00+00') TO ('2022-02-01 00:00:00+00')
CREATE TABLE dbo.kid (
    observer_id int DEFAULT NEXT VALUE FOR dbo.observer_observer_id_seq NOT NULL,
    first_name nvarchar(45) COLLATE Latin1_General_100_BIN2 NOT NULL,
    rating nvarchar(5) DEFAULT 'G' CHECK (rating IN ('G', 'PG-13')),
    release_year int CHECK (release_year >= 1901 AND release_year <= 2155),
    rate decimal(4,2) DEFAULT 4.99 NOT NULL,
    special nvarchar(max),
    fulltext nvarchar(max) NOT NULL,
    last_update datetime2(6) DEFAULT GETDATE() NOT NULL,
    active bit DEFAULT 1 NOT NULL,
    create_date date DEFAULT CAST(GETDATE() AS DATE) NOT NULL,
    picture varbinary(max),
    ip nvarchar(max),
    m nvarchar(max),
    r nvarchar(max),
    p nvarchar(max),
    j nvarchar(max) DEFAULT '{}',
    x xml,
    mo decimal(19,2),
    o bigint CHECK (o BETWEEN 0 AND 4294967295),
    ch nchar(1) COLLATE Latin1_General_100_BIN2,
    b binary(1),
    iv nvarchar(max),
    tz datetimeoffset(6),
    t time(6),
    ts datetime2(3),
    u uniqueidentifier DEFAULT NEWID(),
    h nvarchar(max),
    cit nvarchar(max),
    d float,
    re real,
    na nvarchar(63) COLLATE Latin1_General_100_BIN2,
    arr2 nvarchar(max),
    gen int,
    a int
);
CREATE VIEW dbo.observer_info AS
SELECT
    a.observer_id,
    a.first_name,
    dbo.group_concat(DISTINCT CAST(c.name AS nvarchar(max)) + ': ' + CAST((
        SELECT dbo.group_concat(CAST(f.title AS nvarchar(max))) AS group_concat
        FROM dbo.plate f
        JOIN dbo.plate_band fc_1 ON f.plate_id = fc_1.plate_id
        JOIN dbo.plate_observer fa_1 ON f.plate_id = fa_1.plate_id
        WHERE fc_1.band_id = c.band_id AND fa_1.observer_id = a.observer_id
        GROUP BY fa_1.observer_id
    ) AS nvarchar(max))) AS plate_info,
    YEAR(a.last_update) AS yr,
    FORMAT(a.last_update, 'yyyy-MM-dd') AS d,
    a.first_name + CHAR(32) AS nm,
    CASE WHEN a.active = 1 THEN 'active' ELSE '' END AS notes
FROM dbo.observer a
LEFT JOIN dbo.plate_observer fa ON a.observer_id = fa.observer_id
LEFT JOIN dbo.band c ON fa.plate_id = c.band_id
GROUP BY a.observer_id, a.first_name;
-- RC0602 by hand: No counterpart on the target: a materialized view cannot be said in sqlserver
-- CREATE MATERIALIZED VIEW public.exposures_by_band AS
--  SELECT c.name AS band,
--     sum(p.amount) AS total_sales
--    FROM public.exposure p
--   GROUP BY c.name
--   ORDER BY (sum(p.amount)) DESC
--   WITH NO DATA
CREATE SEQUENCE dbo.site_id_seq START WITH 1 INCREMENT BY 1 MINVALUE 1 MAXVALUE 2147483647 CACHE 1;
CREATE TABLE dbo.site (
    id int NOT NULL,
    name nvarchar(max) COLLATE Latin1_General_100_BIN2 NOT NULL,
    meta nvarchar(max)
);
-- RC0602 by hand: No counterpart on the target: NOT NULL changed without the column's type cannot be said in sqlserver
-- ALTER TABLE public.site ALTER COLUMN id ADD GENERATED ALWAYS AS IDENTITY (
--     SEQUENCE NAME public.site_id_seq2
--     START WITH 1
--     INCREMENT BY 1
--     NO MINVALUE
--     NO MAXVALUE
--     CACHE 1
-- )
ALTER TABLE dbo.site ADD DEFAULT NEXT VALUE FOR dbo.site_id_seq FOR id;
INSERT INTO dbo.observer (observer_id, first_name, last_update, active, picture, special)
VALUES 
    (1, 'Pen\elope	', '2022-02-15 09:34:33.123', 1, 0x0a0b, '["a", "b c"]'),
    (2, NULL, '2022-02-15 09:34:33', 0, NULL, NULL);
SET IDENTITY_INSERT dbo.site ON;
INSERT INTO dbo.site (id, name, meta) VALUES (1, 'A', '{"a": 1}');
SET IDENTITY_INSERT dbo.site OFF;
SET IDENTITY_INSERT dbo.site ON;
INSERT INTO dbo.site (id, name, meta)
VALUES (2, 'it''s
', '{"a": "b"}');
SET IDENTITY_INSERT dbo.site OFF;
SET IDENTITY_INSERT dbo.site ON;
INSERT INTO dbo.site (id, name) VALUES (3, 'x');
SET IDENTITY_INSERT dbo.site OFF;
ALTER SEQUENCE dbo.observer_observer_id_seq RESTART WITH 201;
ALTER SEQUENCE dbo.site_id_seq RESTART WITH 4;
ALTER TABLE dbo.observer ADD CONSTRAINT observer_pkey PRIMARY KEY (observer_id);
CREATE UNIQUE INDEX idx_unq ON dbo.night (night_date, plate_id, observer_id);
-- RC0602 by hand: No counterpart on the target: an index on an expression cannot be said in sqlserver
-- CREATE INDEX low ON public.observer USING btree (lower((first_name)::text) text_pattern_ops, last_update DESC NULLS LAST) WHERE active
-- RC0603 by hand: Code is not translated: a trigger, which is not written for this target from this source
-- CREATE TRIGGER last_updated BEFORE UPDATE ON public.observer FOR EACH ROW EXECUTE FUNCTION public.last_updated()
-- RC0603 by hand: Code is not translated: rule
-- CREATE RULE r AS ON DELETE TO public.observer DO INSTEAD NOTHING
ALTER TABLE dbo.store ADD CONSTRAINT store_address_id_fkey FOREIGN KEY (address_id) REFERENCES dbo.address (address_id) ON UPDATE CASCADE;
ALTER TABLE dbo.store ADD CONSTRAINT fk2 FOREIGN KEY (a) REFERENCES dbo.address (address_id);
-- RC0602 by hand: No counterpart on the target: security of single rows
-- ALTER TABLE public.store ENABLE ROW LEVEL SECURITY
-- RC0602 by hand: No counterpart on the target: policy
-- CREATE POLICY p ON public.store USING (true)
-- RC0602 by hand: No counterpart on the target: publication
-- CREATE PUBLICATION pub FOR ALL TABLES
GRANT SELECT, INSERT ON dbo.observer TO reader;
-- RC0602 by hand: No counterpart on the target: GRANT on other than tables
-- GRANT ALL ON FUNCTION public.last_updated() TO reader
GRANT UPDATE ON dbo.site_id_seq TO reader;
-- RC0602 by hand: No counterpart on the target: ALTER DEFAULT
-- ALTER DEFAULT PRIVILEGES FOR ROLE postgres IN SCHEMA public GRANT ALL ON TABLES TO postgres
EXEC sys.sp_addextendedproperty 'MS_Description', N'the name', 'SCHEMA', 'dbo', 'TABLE', 'observer', 'COLUMN', 'first_name';
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
-- 16:1: RC0609 adapted: Said in other words: the schema public as dbo
-- 17:1: RC0602 by hand: No counterpart on the target: DROP TRIGGER
-- 18:1: RC0602 by hand: No counterpart on the target: DROP INDEX without its table cannot be said in sqlserver
-- 19:1: RC0609 adapted: Said in other words: the schema public as dbo
-- 20:1: RC0609 adapted: Said in other words: the schema public as dbo
-- 21:1: RC0602 by hand: No counterpart on the target: DROP FUNCTION
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
-- 39:1: RC0603 by hand: Code is not translated: a function, which is not written for this target from this source
-- 47:1: RC0603 by hand: Code is not translated: a function, which is not written for this target from this source
-- 54:1: RC0603 by hand: Code is not translated: aggregate
-- 58:1: RC0604 adapted: Client command left out: SET default_tablespace = ''
-- 59:1: RC0604 adapted: Client command left out: SET default_with_oids = false
-- 60:1: RC0604 adapted: Client command left out: SET default_table_access_method = heap
-- 61:1: RC0609 adapted: Said in other words: the schema public as dbo
-- 67:1: RC0502 adapted: Storage clauses left out: OWNER TO postgres
-- 71:5: RC0120 adapted: Enumeration becomes a text: rating as a text with a check
-- 74:5: RC0115 check: Array becomes a JSON array: special: array as NVARCHAR(MAX)
-- 75:5: RC0111 check: Type without counterpart crosses as text or bytes: fulltext: tsvector as NVARCHAR(MAX)
-- 80:5: RC0111 check: Type without counterpart crosses as text or bytes: ip: inet as NVARCHAR(MAX)
-- 80:14: RC0111 check: Type without counterpart crosses as text or bytes: m: macaddr as NVARCHAR(MAX)
-- 80:25: RC0111 check: Type without counterpart crosses as text or bytes: r: int4range as NVARCHAR(MAX)
-- 80:38: RC0111 check: Type without counterpart crosses as text or bytes: p: point as NVARCHAR(MAX)
-- 80:93: RC0101 adapted: Unsigned range kept by a check: o: BIGINT for unsigned 32 bits
-- 80:111: RC0111 check: Type without counterpart crosses as text or bytes: b: bits of any number as BINARY(1)
-- 80:129: RC0111 check: Type without counterpart crosses as text or bytes: iv: interval as NVARCHAR(MAX)
-- 80:247: RC0608 adapted: Function spelled otherwise: gen_random_uuid means new_uuid
-- 80:266: RC0111 check: Type without counterpart crosses as text or bytes: h: hstore as NVARCHAR(MAX)
-- 80:333: RC0115 check: Array becomes a JSON array: arr2: array as NVARCHAR(MAX)
-- 68:1: RC0609 adapted: Said in other words: the schema public as dbo
-- 85:1: RC0502 adapted: Storage clauses left out: ALTER COLUMN first_name SET STATISTICS 100
-- 86:1: RC0502 adapted: Storage clauses left out: REPLICA IDENTITY FULL
-- 87:1: RC0627 check: Said in other words, with a difference: the table is not partitioned (was by RANGE (taken_at)): the target has no partitions of this kind
-- 87:1: RC0609 adapted: Said in other words: the schema public as dbo
-- 92:1: RC0609 adapted: Said in other words: the schema public as dbo
-- 96:1: RC0602 by hand: No counterpart on the target: a table that becomes a partition of another
-- 97:1: RC0627 check: Said in other words, with a difference: it has the columns of public.observer, of which queries do not read its rows any more, but not its further checks and numbers
-- 71:5: RC0120 adapted: Enumeration becomes a text: rating as a text with a check
-- 74:5: RC0115 check: Array becomes a JSON array: special: array as NVARCHAR(MAX)
-- 75:5: RC0111 check: Type without counterpart crosses as text or bytes: fulltext: tsvector as NVARCHAR(MAX)
-- 80:5: RC0111 check: Type without counterpart crosses as text or bytes: ip: inet as NVARCHAR(MAX)
-- 80:14: RC0111 check: Type without counterpart crosses as text or bytes: m: macaddr as NVARCHAR(MAX)
-- 80:25: RC0111 check: Type without counterpart crosses as text or bytes: r: int4range as NVARCHAR(MAX)
-- 80:38: RC0111 check: Type without counterpart crosses as text or bytes: p: point as NVARCHAR(MAX)
-- 80:93: RC0101 adapted: Unsigned range kept by a check: o: BIGINT for unsigned 32 bits
-- 80:111: RC0111 check: Type without counterpart crosses as text or bytes: b: bits of any number as BINARY(1)
-- 80:129: RC0111 check: Type without counterpart crosses as text or bytes: iv: interval as NVARCHAR(MAX)
-- 80:247: RC0608 adapted: Function spelled otherwise: gen_random_uuid means new_uuid
-- 80:266: RC0111 check: Type without counterpart crosses as text or bytes: h: hstore as NVARCHAR(MAX)
-- 80:333: RC0115 check: Array becomes a JSON array: arr2: array as NVARCHAR(MAX)
-- 97:1: RC0609 adapted: Said in other words: the schema public as dbo
-- 101:5: RC0606 check: Function is not in the dictionary: public.group_concat
-- 101:78: RC0606 check: Function is not in the dictionary: public.group_concat
-- 107:5: RC0608 adapted: Function spelled otherwise: date_part means extract_year
-- 108:28: RC0609 adapted: Said in other words: the mask YYYY-MM-DD is yyyy-MM-dd
-- 109:29: RC0608 adapted: Function spelled otherwise: chr means char_of
-- 111:18: RC0614 adapted: Condition made explicit: a truth value as a condition
-- 98:1: RC0609 adapted: Said in other words: the schema public as dbo
-- 118:1: RC0602 by hand: No counterpart on the target: a materialized view cannot be said in sqlserver
-- 125:1: RC0609 adapted: Said in other words: the schema public as dbo
-- 132:1: RC0502 adapted: Storage clauses left out: OWNED BY public.site.id
-- 133:1: RC0609 adapted: Said in other words: the schema public as dbo
-- 134:1: RC0602 by hand: No counterpart on the target: NOT NULL changed without the column's type cannot be said in sqlserver
-- 142:1: RC0609 adapted: Said in other words: the schema public as dbo
-- 144:1: RC0609 adapted: Said in other words: lines of data as INSERT
-- 148:1: RC0609 adapted: Said in other words: lines of data as INSERT
-- 150:1: RC0609 adapted: Said in other words: rows are allowed to bring numbers with them
-- 150:1: RC0609 adapted: Said in other words: the schema public as dbo
-- 151:1: RC0609 adapted: Said in other words: rows are allowed to bring numbers with them
-- 151:1: RC0609 adapted: Said in other words: the schema public as dbo
-- 152:1: RC0609 adapted: Said in other words: the schema public as dbo
-- 153:1: RC0609 adapted: Said in other words: the schema public as dbo
-- 154:1: RC0609 adapted: Said in other words: the schema public as dbo
-- 156:1: RC0502 adapted: Storage clauses left out: CLUSTER ON observer_pkey
-- 157:1: RC0627 check: Said in other words, with a difference: an index of the kind GIST is left out
-- 158:1: RC0627 check: Said in other words, with a difference: one engine takes two NULLs in the key for duplicates, the other does not
-- 158:1: RC0609 adapted: Said in other words: the schema public as dbo
-- 159:1: RC0502 adapted: Storage clauses left out: jsonb_path_ops
-- 159:1: RC0627 check: Said in other words, with a difference: an index of the kind GIN is left out
-- 160:1: RC0602 by hand: No counterpart on the target: an index on an expression cannot be said in sqlserver
-- 161:1: RC0604 adapted: Client command left out: ALTER INDEX
-- 162:1: RC0603 by hand: Code is not translated: a trigger, which is not written for this target from this source
-- 163:1: RC0603 by hand: Code is not translated: rule
-- 164:1: RC0609 adapted: Said in other words: the schema public as dbo
-- 165:9: RC0406 check: Foreign key is checked at once: checked at once
-- 166:35: RC0627 check: Said in other words, with a difference: left out: NOT VALID
-- 166:1: RC0609 adapted: Said in other words: the schema public as dbo
-- 167:35: RC0627 check: Said in other words, with a difference: a constraint that nothing else can say is left out: EXCLUDE USING gist (r WITH &&)
-- 168:26: RC0602 by hand: No counterpart on the target: security of single rows
-- 169:1: RC0602 by hand: No counterpart on the target: policy
-- 170:1: RC0602 by hand: No counterpart on the target: publication
-- 171:1: RC0626 check: Right in other words: rights on the default schema are left out
-- 172:1: RC0626 check: Right in other words: rights on the default schema are left out
-- 173:1: RC0609 adapted: Said in other words: the schema public as dbo
-- 174:1: RC0602 by hand: No counterpart on the target: GRANT on other than tables
-- 175:1: RC0626 check: Right in other words: the right to draw numbers from a sequence, for that to read its last one
-- 175:1: RC0609 adapted: Said in other words: the schema public as dbo
-- 176:1: RC0602 by hand: No counterpart on the target: ALTER DEFAULT
-- 177:1: RC0609 adapted: Said in other words: the schema public as dbo
-- 178:1: RC0604 adapted: Client command left out: COMMENT ON CONSTRAINT
-- 179:1: RC0602 by hand: No counterpart on the target: REFRESH
-- 180:1: RC0604 adapted: Client command left out: \connect other
-- 181:1: RC0602 by hand: No counterpart on the target: another script, which the client runs here
