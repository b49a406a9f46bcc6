-- to: mariadb oracle sqlserver
CREATE TABLE dome (
    dome_id int IDENTITY(10,5) CONSTRAINT dome_pk PRIMARY KEY,
    name nvarchar(40) COLLATE Latin1_General_100_BIN2 NOT NULL CONSTRAINT dome_name_uk UNIQUE,
    opened datetimeoffset(3) DEFAULT SYSDATETIMEOFFSET() NOT NULL,
    height decimal(5,2) DEFAULT 0 CONSTRAINT dome_height_ck CHECK (height >= 0 AND height < 99.5),
    area AS (CAST(height * height AS decimal(38,10))) PERSISTED,
    tags nvarchar(max) DEFAULT '[]',
    doc nvarchar(max),
    [key] uniqueidentifier DEFAULT NEWID(),
    active bit DEFAULT 1 NOT NULL
);
CREATE TABLE lamp (
    dome_id int REFERENCES dome ON DELETE CASCADE,
    lamp_no smallint NOT NULL,
    watts float,
    bought date DEFAULT CAST(GETDATE() AS DATE),
    photo varbinary(max),
    CONSTRAINT lamp_pk PRIMARY KEY (dome_id, lamp_no),
    CHECK (lamp_no > 0)
);
CREATE TABLE shift (
    shift_id int IDENTITY(1,1) NOT NULL PRIMARY KEY,
    dome_id int,
    lamp_no smallint,
    remark nvarchar(max) COLLATE Latin1_General_100_BIN2,
    FOREIGN KEY (dome_id, lamp_no) REFERENCES lamp (dome_id, lamp_no) ON UPDATE CASCADE
);
CREATE UNIQUE INDEX lamp_bought_ux ON lamp (bought DESC) INCLUDE (watts);
ALTER TABLE shift ADD note nvarchar(200) COLLATE Latin1_General_100_BIN2 DEFAULT 'none' NOT NULL;
-- RC0602 by hand: No counterpart on the target: a default removed without the name of its constraint cannot be said in sqlserver
-- ALTER TABLE shift ALTER COLUMN note TYPE varchar(400), ALTER COLUMN note DROP NOT NULL, ALTER COLUMN note DROP DEFAULT
EXEC sp_rename 'shift.note', 'notes', 'COLUMN';
ALTER TABLE shift DROP COLUMN IF EXISTS notes;
ALTER TABLE lamp DROP CONSTRAINT lamp_lamp_no_check;
ALTER TABLE lamp ADD CONSTRAINT lamp_watts_ck CHECK (watts > 0);
EXEC sp_rename 'lamp_watts_ck', 'lamp_power_ck', 'OBJECT';
ALTER TABLE lamp DROP CONSTRAINT lamp_power_ck;
EXEC sp_rename 'lamp.lamp_bought_ux', 'lamp_when_ux', 'INDEX';
-- RC0602 by hand: No counterpart on the target: the next number of a column cannot be said in sqlserver
-- ALTER TABLE dome ALTER COLUMN dome_id RESTART WITH 100
-- RC0602 by hand: No counterpart on the target: the numbers of shift.shift_id in another way
-- ALTER SEQUENCE shift_shift_id_seq RESTART WITH 50
EXEC sp_rename 'lamp', 'lamps';
CREATE TABLE dome_like (
    dome_id int NOT NULL,
    name nvarchar(40) COLLATE Latin1_General_100_BIN2 NOT NULL,
    opened datetimeoffset(3) DEFAULT SYSDATETIMEOFFSET() NOT NULL,
    height decimal(5,2) DEFAULT 0,
    area decimal(38,10),
    tags nvarchar(max) DEFAULT '[]',
    doc nvarchar(max),
    [key] uniqueidentifier DEFAULT NEWID(),
    active bit DEFAULT 1 NOT NULL
);
SELECT * INTO dome_copy FROM (SELECT dome_id, name FROM dome) source_rows_ WHERE 1 = 0;
CREATE TABLE #tally (
    n int,
    label nvarchar(10) COLLATE Latin1_General_100_BIN2
);
CREATE SEQUENCE pass_seq START WITH 1 INCREMENT BY 2 MINVALUE 1 CACHE 20;
CREATE OR ALTER VIEW lamp_view (dome, lamps) AS
SELECT dome_id, COUNT(*) FROM lamps GROUP BY dome_id;
-- RC0602 by hand: No counterpart on the target: a materialized view cannot be said in sqlserver
-- CREATE MATERIALIZED VIEW lamp_totals AS SELECT dome_id, sum(watts) AS power FROM lamps GROUP BY dome_id WITH NO DATA
CREATE TABLE plate (
    plate_id bigint IDENTITY(1,1) NOT NULL PRIMARY KEY,
    band nvarchar(1) DEFAULT 'V' NOT NULL CHECK (band IN ('U', 'B', 'V')),
    mag decimal(5,2) DEFAULT 0 NOT NULL CHECK (mag < 40),
    place nvarchar(max)
);
EXEC sys.sp_addextendedproperty 'MS_Description', N'Plates', 'SCHEMA', 'dbo', 'TABLE', 'plate';
EXEC sys.sp_addextendedproperty 'MS_Description', N'it''s faint', 'SCHEMA', 'dbo', 'TABLE', 'plate', 'COLUMN', 'mag';
DROP VIEW IF EXISTS lamp_view;
TRUNCATE TABLE shift;
DELETE FROM lamps;
DROP TABLE IF EXISTS dome_like;
DROP TABLE IF EXISTS dome_copy;
CREATE TABLE visit (
    visit_id int PRIMARY KEY,
    room int NOT NULL,
    during nvarchar(max) NOT NULL,
    code nvarchar(max) COLLATE Latin1_General_100_BIN2,
    tags nvarchar(max) DEFAULT '["a"]',
    label nvarchar(max)
);

-- findings
-- 7:3: RC0110 check: Number without precision is bounded: area: number without precision as DECIMAL(38,10)
-- 8:3: RC0115 check: Array becomes a JSON array: tags: array as NVARCHAR(MAX)
-- 10:20: RC0608 adapted: Function spelled otherwise: gen_random_uuid means new_uuid
-- 2:1: RC0627 check: Said in other words, with a difference: without IF NOT EXISTS the statement can fail
-- 21:3: RC0627 check: Said in other words, with a difference: a constraint that nothing else can say is left out: EXCLUDE USING gist (bought WITH =)
-- 24:3: RC0406 check: Foreign key is checked at once: checked at once
-- 25:1: RC0502 adapted: Storage clauses left out: CONCURRENTLY
-- 25:1: RC0627 check: Said in other words, with a difference: one engine takes two NULLs in the key for duplicates, the other does not
-- 25:1: RC0502 adapted: Storage clauses left out: NULLS LAST of an index
-- 25:1: RC0627 check: Said in other words, with a difference: without IF NOT EXISTS the statement can fail
-- 26:1: RC0502 adapted: Storage clauses left out: text_pattern_ops
-- 26:1: RC0627 check: Said in other words, with a difference: the index is left out, as the target has none on long texts and bytes such as remark
-- 27:1: RC0627 check: Said in other words, with a difference: without IF NOT EXISTS the statement can fail
-- 28:1: RC0602 by hand: No counterpart on the target: a default removed without the name of its constraint cannot be said in sqlserver
-- 32:22: RC0627 check: Said in other words, with a difference: left out: NOT VALID
-- 33:1: RC0502 adapted: Storage clauses left out: VALIDATE CONSTRAINT lamp_watts_ck
-- 37:1: RC0602 by hand: No counterpart on the target: the next number of a column cannot be said in sqlserver
-- 38:1: RC0602 by hand: No counterpart on the target: the numbers of shift.shift_id in another way
-- 40:1: RC0609 adapted: Said in other words: the columns of the table that is copied
-- 7:3: RC0110 check: Number without precision is bounded: area: number without precision as DECIMAL(38,10)
-- 8:3: RC0115 check: Array becomes a JSON array: tags: array as NVARCHAR(MAX)
-- 10:20: RC0608 adapted: Function spelled otherwise: gen_random_uuid means new_uuid
-- 41:1: RC0609 adapted: Said in other words: CREATE TABLE AS as SELECT INTO
-- 42:1: RC0627 check: Said in other words, with a difference: left out: ON COMMIT DROP
-- 43:1: RC0627 check: Said in other words, with a difference: without IF NOT EXISTS the statement can fail
-- 45:1: RC0602 by hand: No counterpart on the target: a materialized view cannot be said in sqlserver
-- 46:1: RC0105 adapted: Enumeration becomes a named type: band: its columns get a check each
-- 47:1: RC0609 adapted: Said in other words: magnitude: its columns get the type and the checks themselves
-- 48:53: RC0120 adapted: Enumeration becomes a text: band as a text with a check
-- 48:109: RC0111 check: Type without counterpart crosses as text or bytes: place: point as NVARCHAR(MAX)
-- 51:1: RC0627 check: Said in other words, with a difference: without CASCADE, objects that depend on it stay or hinder it
-- 52:1: RC0609 adapted: Said in other words: rows of lamps, to which others refer, are deleted
-- 53:1: RC0627 check: Said in other words, with a difference: without CASCADE, objects that depend on it stay or hinder it
-- 57:3: RC0111 check: Type without counterpart crosses as text or bytes: during: tsrange as NVARCHAR(MAX)
-- 58:13: RC0627 check: Said in other words, with a difference: the check is left out: a regular expression cannot be said in sqlserver
-- 59:34: RC0627 check: Said in other words, with a difference: the check is left out: an operation on tags (an array), a type that the target does not have
-- 59:3: RC0115 check: Array becomes a JSON array: tags: array as NVARCHAR(MAX)
-- 60:3: RC0627 check: Said in other words, with a difference: what computes label is left out: the function initcap with 1 argument(s) has no counterpart in sqlserver
-- 61:3: RC0627 check: Said in other words, with a difference: a constraint that nothing else can say is left out: EXCLUDE USING gist (room WITH = , during WITH &&) WHERE (room > 0)
