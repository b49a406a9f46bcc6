-- to: postgresql mariadb
CREATE TABLE kro.telescope (
    telescope_id integer NOT NULL PRIMARY KEY,
    name character varying(60) NOT NULL,
    aperture numeric(6,3),
    dome character(4)
);
CREATE TABLE kro.event (
    noted timestamp(6) without time zone,
    what character varying(200)
);

CREATE OR REPLACE FUNCTION kro.area(d numeric(6,3)) RETURNS numeric(12,4)
LANGUAGE plpgsql
IMMUTABLE
SECURITY DEFINER
SET search_path = kro, pg_temp
AS $$
BEGIN
    d := CAST(d AS numeric(6,3));
    RETURN CAST(CAST(TRUNC(d * d * 0.7854, 4) AS numeric(12,4)) AS numeric(12,4));
END;
$$;

CREATE OR REPLACE PROCEDURE kro.register(p_name character varying(60), p_aperture numeric(6,3), OUT p_id integer, OUT p_what character varying(60))
LANGUAGE plpgsql
SECURITY DEFINER
SET search_path = kro, pg_temp
AS $$
#variable_conflict use_column
BEGIN
    p_aperture := CAST(p_aperture AS numeric(6,3));
    DECLARE
        v_next integer := 0;
    BEGIN
        IF p_aperture <= 0 THEN
            RAISE EXCEPTION USING MESSAGE = 'an aperture is greater than 0', ERRCODE = '75001';
        END IF;
        SELECT COALESCE(MAX(telescope_id), 0) + 1 FROM kro.telescope
        INTO v_next;
        INSERT INTO kro.telescope (telescope_id, name, aperture) VALUES (v_next, p_name, p_aperture);
        p_id := v_next;
        p_what := 'registered';
    EXCEPTION
        WHEN SQLSTATE '23505' THEN
            p_what := 'there already';
        WHEN OTHERS THEN
            INSERT INTO kro.event VALUES (LOCALTIMESTAMP, 'failed');
            RAISE;
    END;
END;
$$;

CREATE TYPE kro.largest_row AS (name character varying(60), aperture numeric(6,3));
CREATE FUNCTION kro.largest(p_dome character(4)) RETURNS SETOF kro.largest_row
LANGUAGE plpgsql
SECURITY DEFINER
SET search_path = kro, pg_temp
AS $$
#variable_conflict use_column
BEGIN
    RETURN QUERY
        SELECT name, aperture FROM kro.telescope WHERE dome = p_dome ORDER BY aperture DESC LIMIT 5;
END;
$$;

CREATE FUNCTION kro.names(p_dome character(4)) RETURNS character varying(2000)
LANGUAGE plpgsql
SECURITY DEFINER
SET search_path = kro, pg_temp
AS $$
#variable_conflict use_column
DECLARE
    v character varying(2000) := '';
BEGIN
    DECLARE
        t record;
    BEGIN
        FOR t IN
            SELECT name, aperture FROM kro.telescope WHERE dome = p_dome ORDER BY name
        LOOP
            v := v || t.name || ' ';
            IF t.aperture > 5 THEN
                v := v || '(great) ';
            END IF;
        END LOOP;
    END;
    RETURN v;
END;
$$;

CREATE OR REPLACE FUNCTION kro.telescope_au() RETURNS trigger
LANGUAGE plpgsql
AS $$
BEGIN
    INSERT INTO kro.event VALUES (LOCALTIMESTAMP, new.name || ' was ' || CAST(old.aperture AS text));
    RETURN NULL;
END;
$$;
CREATE TRIGGER telescope_au AFTER UPDATE OF aperture ON kro.telescope
FOR EACH ROW
WHEN (old.aperture <> new.aperture)
EXECUTE FUNCTION kro.telescope_au();

CREATE OR REPLACE FUNCTION kro.telescope_bi() RETURNS trigger
LANGUAGE plpgsql
AS $$
BEGIN
    new.dome := COALESCE(new.dome, 'main');
    RETURN new;
END;
$$;
CREATE TRIGGER telescope_bi BEFORE INSERT ON kro.telescope
FOR EACH ROW
EXECUTE FUNCTION kro.telescope_bi();

-- RC0603 by hand: Code is not translated: procedure: a variable that each statement sets
-- CREATE PROCEDURE kro.by_code ()
--   LANGUAGE SQL
-- BEGIN
--   DECLARE SQLCODE INTEGER DEFAULT 0;
--   UPDATE kro.telescope SET dome = 'old' WHERE aperture < 1;
--   IF SQLCODE = 100 THEN
--     INSERT INTO kro.event VALUES (CURRENT TIMESTAMP, 'none');
--   END IF;
-- END

-- RC0603 by hand: Code is not translated: procedure: a name that could mean a column of a table or of the loop around it
-- CREATE PROCEDURE kro.by_loop ()
--   LANGUAGE SQL
--   FOR SELECT telescope_id, dome FROM kro.telescope DO
--     UPDATE kro.event SET what = dome WHERE what = 'open';
--   END FOR

-- findings
-- 2:1: RC0617 check: Trailing blanks in comparisons: those of stored texts count on the target, in this table and in all others; nothing to do where texts have none
-- 5:1: RC0609 adapted: Said in other words: code in the target's own language
-- 7:16: RC0609 adapted: Said in other words: cut as on the source
-- 9:1: RC0609 adapted: Said in other words: code in the target's own language
-- 19:3: RC0627 check: Said in other words, with a difference: what a handler changes before it raises an error is undone with that, unless it is handled
-- 32:1: RC0609 adapted: Said in other words: code in the target's own language
-- 38:3: RC0627 check: Said in other words, with a difference: a function that gives rows: SELECT * FROM it where it was called
-- 41:1: RC0609 adapted: Said in other words: code in the target's own language
-- 54:1: RC0609 adapted: Said in other words: code in the target's own language
-- 60:73: RC0607 check: Function with a difference: text_of: the source fills the text up with blanks
-- 60:73: RC0608 adapted: Function spelled otherwise: CHAR means text_of
-- 63:1: RC0609 adapted: Said in other words: code in the target's own language
-- 72:19: RC0603 by hand: Code is not translated: procedure: a variable that each statement sets
-- 83:10: RC0603 by hand: Code is not translated: procedure: a name that could mean a column of a table or of the loop around it
