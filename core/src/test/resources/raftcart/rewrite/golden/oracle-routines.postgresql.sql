-- to: postgresql
CREATE TABLE telescope (
    telescope_id integer PRIMARY KEY,
    name character varying(60) NOT NULL,
    aperture numeric(6,3),
    dome character varying(4)
);
CREATE SEQUENCE telescope_seq;

CREATE SCHEMA IF NOT EXISTS dome_control;
CREATE OR REPLACE FUNCTION dome_control.state_(variable text) RETURNS text
LANGUAGE plpgsql
AS $$
BEGIN
    IF COALESCE(current_setting('dome_control.ready_', true), '') = '' THEN
        PERFORM set_config('dome_control.ready_', 'yes', false);
        BEGIN
            PERFORM dome_control.keep_('g_operator', CAST('nobody' AS text));
        END;
    END IF;
    IF current_setting('dome_control.' || variable, true) <> '' THEN
        RETURN substr(current_setting('dome_control.' || variable), 2);
    END IF;
    RETURN NULL;
END;
$$;
CREATE OR REPLACE FUNCTION dome_control.keep_(variable text, value text) RETURNS void
LANGUAGE plpgsql
AS $$
BEGIN
    PERFORM dome_control.state_('');
    PERFORM set_config('dome_control.' || variable, COALESCE('=' || value, ''), false);
END;
$$;
CREATE OR REPLACE FUNCTION dome_control.state_(variable text) RETURNS text
LANGUAGE plpgsql
AS $$
BEGIN
    IF COALESCE(current_setting('dome_control.ready_', true), '') = '' THEN
        PERFORM set_config('dome_control.ready_', 'yes', false);
        BEGIN
            PERFORM dome_control.keep_('g_operator', CAST('nobody' AS text));
            PERFORM dome_control.keep_('g_open', CAST(FALSE AS text));
        END;
    END IF;
    IF current_setting('dome_control.' || variable, true) <> '' THEN
        RETURN substr(current_setting('dome_control.' || variable), 2);
    END IF;
    RETURN NULL;
END;
$$;
CREATE OR REPLACE FUNCTION dome_control.keep_(variable text, value text) RETURNS void
LANGUAGE plpgsql
AS $$
BEGIN
    PERFORM dome_control.state_('');
    PERFORM set_config('dome_control.' || variable, COALESCE('=' || value, ''), false);
END;
$$;
CREATE OR REPLACE FUNCTION dome_control.is_open() RETURNS boolean
LANGUAGE plpgsql
SECURITY DEFINER
AS $$
BEGIN
    RETURN CAST(dome_control.state_('g_open') AS boolean);
END;
$$;
CREATE OR REPLACE PROCEDURE dome_control.open_it(p_wind numeric, OUT p_message text)
LANGUAGE plpgsql
SECURITY DEFINER
AS $$
BEGIN
    IF p_wind > 7.5 THEN
        RAISE EXCEPTION USING MESSAGE = 'an exception of the user', ERRCODE = 'XV7A1';
    END IF;
    PERFORM dome_control.keep_('g_open', CAST(TRUE AS text));
    p_message := 'open for ' || COALESCE(CAST(dome_control.state_('g_operator') AS character varying(30)), '');
EXCEPTION
    WHEN SQLSTATE 'XV7A1' THEN
        p_message := 'too windy';
END;
$$;
CREATE OR REPLACE PROCEDURE open_all(p_wind numeric DEFAULT 3)
LANGUAGE plpgsql
AS $$
#variable_conflict use_column
DECLARE
    v_message character varying(200);
    given_1_ text;
BEGIN
    PERFORM dome_control.keep_('g_operator', CAST(CURRENT_USER AS text));
    CALL dome_control.open_it(p_wind => p_wind, p_message => given_1_);
    v_message := given_1_;
    IF dome_control.is_open() THEN
        RAISE NOTICE '%', v_message;
    END IF;
END;
$$;
CREATE OR REPLACE FUNCTION register(p_name text, p_aperture numeric(6,3)) RETURNS numeric
LANGUAGE plpgsql
SECURITY DEFINER
AS $$
#variable_conflict use_column
BEGIN
    p_aperture := CAST(p_aperture AS numeric(6,3));
    DECLARE
        v_id integer;
        v_pair record;
    BEGIN
        SELECT CAST(0 AS numeric(6,3)) AS low, CAST(NULL AS numeric(6,3)) AS high
        INTO v_pair;
        SELECT MIN(aperture) AS low, MAX(aperture) AS high FROM telescope
        INTO STRICT v_pair;
        IF p_aperture NOT BETWEEN v_pair.low AND COALESCE(v_pair.high, 99) THEN
            RAISE EXCEPTION USING MESSAGE = 'no such aperture: ' || COALESCE(CAST(p_aperture AS text), ''), ERRCODE = 'U0010';
        END IF;
        INSERT INTO telescope (telescope_id, name, aperture)
        VALUES (NEXTVAL('telescope_seq'), p_name, p_aperture)
        RETURNING telescope_id
        INTO v_id;
        RETURN v_id;
    EXCEPTION
        WHEN SQLSTATE '23505' OR SQLSTATE '22001' OR SQLSTATE '22003' OR SQLSTATE '22004' OR SQLSTATE '22007' OR SQLSTATE '22008' OR SQLSTATE '22P02' THEN
            RETURN CASE
                WHEN sqlstate = 'P0002' THEN 100
                WHEN sqlstate = 'P0003' THEN -1422
                WHEN sqlstate = '23505' THEN -1
                WHEN sqlstate = '23502' THEN -1400
                WHEN sqlstate = '22003' THEN -1438
                WHEN sqlstate = '22012' THEN -1476
                WHEN sqlstate = '22P02' THEN -1722
                WHEN sqlstate = '23514' THEN -2290
                WHEN sqlstate = '23503' THEN -2291
                WHEN sqlstate = '22001' THEN -12899
                WHEN sqlstate = '55P03' THEN -54
                WHEN sqlstate = '40P01' THEN -60
                WHEN sqlstate = '42P01' THEN -942
                WHEN SUBSTR(sqlstate, 1, 2) = 'U0' THEN -20000 - CAST(NULLIF(SUBSTR(sqlstate, 3, 3), '') AS numeric(38,0))
                ELSE -99999
            END;
    END;
END;
$$;
CREATE OR REPLACE PROCEDURE archive(p_table text, p_before timestamp(0) without time zone)
LANGUAGE plpgsql
SECURITY DEFINER
AS $$
DECLARE
    v_count integer;
    sql_rows_ bigint;
BEGIN
    CREATE TABLE kept (
        id integer
    );
    GET DIAGNOSTICS sql_rows_ = ROW_COUNT;
    EXECUTE 'DELETE FROM ' || COALESCE(p_table, '') || ' WHERE seen < $1' USING p_before;
    GET DIAGNOSTICS sql_rows_ = ROW_COUNT;
    v_count := sql_rows_;
END;
$$;
-- RC0603 by hand: Code is not translated: procedure: a collection
-- CREATE OR REPLACE PROCEDURE all_at_once IS
--   TYPE t_ids IS TABLE OF NUMBER INDEX BY PLS_INTEGER;
--   v_ids t_ids;
-- BEGIN
--   SELECT telescope_id BULK COLLECT INTO v_ids FROM telescope;
-- END;
DO $$
BEGIN
    DROP TABLE kept;
EXCEPTION
    WHEN OTHERS THEN
        IF (CASE
            WHEN sqlstate = 'P0002' THEN 100
            WHEN sqlstate = 'P0003' THEN -1422
            WHEN sqlstate = '23505' THEN -1
            WHEN sqlstate = '23502' THEN -1400
            WHEN sqlstate = '22003' THEN -1438
            WHEN sqlstate = '22012' THEN -1476
            WHEN sqlstate = '22P02' THEN -1722
            WHEN sqlstate = '23514' THEN -2290
            WHEN sqlstate = '23503' THEN -2291
            WHEN sqlstate = '22001' THEN -12899
            WHEN sqlstate = '55P03' THEN -54
            WHEN sqlstate = '40P01' THEN -60
            WHEN sqlstate = '42P01' THEN -942
            WHEN SUBSTR(sqlstate, 1, 2) = 'U0' THEN -20000 - CAST(NULLIF(SUBSTR(sqlstate, 3, 3), '') AS numeric(38,0))
            ELSE -99999
        END <> -942) THEN
            RAISE;
        END IF;
END;
$$;
CREATE OR REPLACE FUNCTION telescope_bi() RETURNS trigger
LANGUAGE plpgsql
AS $$
BEGIN
    IF new.dome IS NOT NULL THEN
        RETURN new;
    END IF;
    new.dome := 'main';
    RETURN new;
END;
$$;
CREATE TRIGGER telescope_bi BEFORE INSERT ON telescope
FOR EACH ROW
EXECUTE FUNCTION telescope_bi();
CREATE PROCEDURE listing("least" numeric, OUT c refcursor)
LANGUAGE plpgsql
SECURITY DEFINER
AS $$
#variable_conflict use_column
BEGIN
    OPEN c FOR
        SELECT id, name FROM star WHERE mag > least ORDER BY id;
END;
$$;
CREATE FUNCTION given("least" numeric) RETURNS refcursor
LANGUAGE plpgsql
SECURITY DEFINER
AS $$
#variable_conflict use_column
DECLARE
    c refcursor;
BEGIN
    IF least IS NULL THEN
        OPEN c FOR
            SELECT id FROM star;
    ELSE
        OPEN c FOR
            SELECT id FROM star WHERE mag > least;
    END IF;
    RETURN c;
END;
$$;
CREATE FUNCTION local_one("least" numeric) RETURNS numeric
LANGUAGE plpgsql
SECURITY DEFINER
AS $$
#variable_conflict use_column
DECLARE
    c refcursor;
    x numeric(9,0);
    t numeric(9,0) := 0;
    c_found_ boolean;
BEGIN
    OPEN c FOR
        SELECT id FROM star WHERE mag > least ORDER BY id;
    c_found_ := NULL;
    LOOP
        FETCH c INTO x;
        c_found_ := found;
        EXIT WHEN NOT c_found_;
        t := t * 10 + x;
    END LOOP;
    CLOSE c;
    RETURN t;
END;
$$;
CREATE FUNCTION two_queries(which numeric) RETURNS numeric
LANGUAGE plpgsql
SECURITY DEFINER
AS $$
#variable_conflict use_column
DECLARE
    c refcursor;
    x numeric(9,0);
BEGIN
    IF which = 1 THEN
        OPEN c FOR
            SELECT MIN(id) FROM star;
    ELSE
        OPEN c FOR
            SELECT MAX(id) FROM star;
    END IF;
    FETCH c INTO x;
    CLOSE c;
    RETURN x;
END;
$$;

-- findings
-- 5:1: RC0609 adapted: Said in other words: a package becomes a schema of its name
-- 5:1: RC0627 check: Said in other words, with a difference: the variables of the package go back where a transaction is rolled back
-- 13:1: RC0627 check: Said in other words, with a difference: the variables of the package go back where a transaction is rolled back
-- 25:18: RC0613 check: Empty text and NULL: NULL adds nothing to a text, as on the source
-- 32:1: RC0609 adapted: Said in other words: code in the target's own language
-- 42:1: RC0609 adapted: Said in other words: code in the target's own language
-- 57:12: RC0627 check: Said in other words, with a difference: SQLCODE is -99999 for errors whose numbers on the source we do not know
-- 57:12: RC0609 adapted: Said in other words: NULL where nothing is left, as on the source
-- 48:44: RC0608 adapted: Function spelled otherwise: NVL means coalesce
-- 49:61: RC0625 check: Types compared as on the source: engines spell this kind of value as a text in different ways
-- 49:37: RC0613 check: Empty text and NULL: NULL adds nothing to a text, as on the source
-- 60:1: RC0609 adapted: Said in other words: code in the target's own language
-- 64:3: RC0627 check: Said in other words, with a difference: a computed statement: what its variables bring has to be SQL of the target
-- 64:3: RC0613 check: Empty text and NULL: NULL adds nothing to a text, as on the source
-- 66:3: RC0627 check: Said in other words, with a difference: COMMIT is left out: the changes belong to the transaction of the caller
-- 70:17: RC0603 by hand: Code is not translated: procedure: a collection
-- 80:8: RC0627 check: Said in other words, with a difference: SQLCODE is -99999 for errors whose numbers on the source we do not know
-- 80:8: RC0609 adapted: Said in other words: NULL where nothing is left, as on the source
-- 85:1: RC0609 adapted: Said in other words: code in the target's own language
-- 93:1: RC0609 adapted: Said in other words: code in the target's own language
-- 93:1: RC0627 check: Said in other words, with a difference: a cursor for the caller, who has to fetch from it within the same transaction
-- 98:1: RC0609 adapted: Said in other words: code in the target's own language
-- 98:1: RC0627 check: Said in other words, with a difference: a cursor for the caller, who has to fetch from it within the same transaction
-- 109:1: RC0609 adapted: Said in other words: code in the target's own language
-- 124:1: RC0609 adapted: Said in other words: code in the target's own language
-- 130:3: RC0627 check: Said in other words, with a difference: after the last row the variables are NULL, on the source they keep their values
