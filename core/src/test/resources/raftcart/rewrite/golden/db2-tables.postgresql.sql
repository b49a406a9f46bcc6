-- to: postgresql mariadb
CREATE TABLE dome (
    dome_id integer GENERATED ALWAYS AS IDENTITY (START WITH 10 INCREMENT BY 5) NOT NULL CONSTRAINT dome_pk PRIMARY KEY,
    name character varying(40) NOT NULL CONSTRAINT dome_name_uk UNIQUE,
    opened timestamp(6) without time zone DEFAULT LOCALTIMESTAMP NOT NULL,
    height numeric(5,2) DEFAULT 0 CONSTRAINT dome_height_ck CHECK (height >= 0),
    area numeric(10,4) GENERATED ALWAYS AS (height * height) STORED,
    mask bytea CHECK (octet_length(mask) = 4),
    remark text,
    changed timestamp(6) without time zone DEFAULT LOCALTIMESTAMP NOT NULL
);
CREATE OR REPLACE FUNCTION dome_changed_on_update() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
    NEW.changed := LOCALTIMESTAMP;
    RETURN NEW;
END
$$;
CREATE TRIGGER dome_changed_on_update BEFORE UPDATE ON dome FOR EACH ROW
WHEN (ROW(NEW.dome_id, NEW.name, NEW.opened, NEW.height, NEW.mask, NEW.remark, NEW.changed)::text IS DISTINCT FROM ROW(OLD.dome_id, OLD.name, OLD.opened, OLD.height, OLD.mask, OLD.remark, OLD.changed)::text AND NEW.changed IS NOT DISTINCT FROM OLD.changed)
EXECUTE FUNCTION dome_changed_on_update();
CREATE TABLE lamp (
    dome_id integer NOT NULL,
    lamp_no smallint NOT NULL,
    watts double precision,
    rate numeric,
    bought date DEFAULT CURRENT_DATE,
    CONSTRAINT lamp_pk PRIMARY KEY (dome_id, lamp_no),
    CONSTRAINT lamp_dome_fk FOREIGN KEY (dome_id) REFERENCES dome ON DELETE CASCADE
);
CREATE UNIQUE INDEX lamp_bought_ux ON lamp (bought, watts DESC) INCLUDE (rate);
ALTER TABLE lamp ADD COLUMN note character varying(200) DEFAULT 'none' NOT NULL;
ALTER TABLE lamp ALTER COLUMN note TYPE character varying(400);
ALTER TABLE lamp ALTER COLUMN note DROP NOT NULL;
ALTER TABLE lamp ALTER COLUMN note SET DEFAULT 'x';
ALTER TABLE lamp ALTER COLUMN note DROP DEFAULT;
ALTER TABLE lamp RENAME COLUMN note TO remark;
ALTER TABLE lamp DROP COLUMN remark;
ALTER TABLE lamp ADD CONSTRAINT lamp_watts_ck CHECK (watts > 0);
ALTER TABLE lamp DROP CONSTRAINT lamp_watts_ck;
ALTER TABLE lamp DROP CONSTRAINT lamp_dome_fk;
ALTER TABLE lamp DROP CONSTRAINT lamp_pk;
ALTER TABLE lamp ADD PRIMARY KEY (lamp_no, dome_id);
ALTER TABLE dome ALTER COLUMN dome_id RESTART WITH 100;
ALTER TABLE lamp RENAME TO lamps;
ALTER INDEX lamp_bought_ux RENAME TO lamps_bought_ux;
CREATE TABLE dome_copy AS
SELECT dome_id, name FROM dome
WITH NO DATA;
CREATE TABLE dome_like (LIKE dome);
CREATE SEQUENCE shift_seq START WITH 1 INCREMENT BY 2;
CREATE VIEW lamp_view (dome, lamps) AS SELECT dome_id, COUNT(*) FROM lamps GROUP BY dome_id;
COMMENT ON COLUMN lamps.watts IS 'power';
COMMENT ON COLUMN lamps.dome_id IS 'where it hangs';
CREATE VIEW bulbs AS
SELECT * FROM lamps;
DROP VIEW bulbs;
DROP VIEW lamp_view;
DROP TABLE dome_copy;

-- findings
-- 2:1: RC0502 adapted: Storage clauses left out: IN userspace1 COMPRESS YES
-- 2:1: RC0617 check: Trailing blanks in comparisons: those of stored texts count on the target, in this table and in all others; nothing to do where texts have none
-- 8:3: RC0109 adapted: Fixed number of bytes kept by a check: mask: bytea with a check for 4 bytes
-- 10:3: RC0627 check: Said in other words, with a difference: the source sets changed at every UPDATE and lets nobody else do so, here it changes where other values do
-- 10:3: RC0609 adapted: Said in other words: ON UPDATE of changed as a trigger
-- 21:1: RC0502 adapted: Storage clauses left out: ALLOW REVERSE SCANS
-- 21:1: RC0627 check: Said in other words, with a difference: one engine takes two NULLs in the key for duplicates, the other does not
-- 38:1: RC0609 adapted: Said in other words: no numbers ahead: each session would keep, and lose, 20 of them
-- 41:1: RC0627 check: Said in other words, with a difference: a synonym as a view, which fits tables and views only
-- 42:1: RC0627 check: Said in other words, with a difference: a synonym, which is taken for the view that stands for it
