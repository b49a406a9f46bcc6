package raftcart.rewrite;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Single statements whose meaning is easily lost. After each source stand what becomes of it, with a dash for what is
 * left to a person, and, after an exclamation mark, the findings that ask for a look.
 */
class RewriteRulesTest {
    private static final String TEXTS_AND_NULL = """
            mysql > postgresql: SELECT id FROM frame WHERE title = 'Ridge'
            = SELECT id FROM frame WHERE title = 'Ridge'
            ! RC0612
            mysql > postgresql: SELECT id FROM frame WHERE taken > '2026-01-31'
            = SELECT id FROM frame WHERE taken > '2026-01-31'
            mysql > postgresql: SELECT a || b, a && b FROM frame
            = SELECT CASE WHEN a OR b THEN 1 WHEN NOT (a OR b) THEN 0 END, CASE WHEN a AND b THEN 1 WHEN NOT (a AND b) THEN 0 END FROM frame
            ! RC0610 RC0610 RC0610 RC0610
            oracle > mysql: SELECT title || band FROM frame
            = SELECT CONCAT(COALESCE(title, ''), COALESCE(band, '')) FROM frame
            ! RC0613
            oracle > postgresql: SELECT NVL(title, 'none'), NVL2(band, 1, 0) FROM frame
            = SELECT COALESCE(title, 'none'), CASE WHEN band IS NOT NULL THEN 1 ELSE 0 END FROM frame
            sqlserver > postgresql: SELECT title + ' of ' + band, ISNULL(title, '') FROM frame WHERE LEN(title) > 3
            = SELECT title || ' of ' || band, COALESCE(title, '') FROM frame WHERE CHAR_LENGTH(RTRIM(title)) > 3
            sqlserver > postgresql: SELECT id FROM frame WHERE title LIKE '[a-c]%'
            = SELECT id FROM frame WHERE title ~ '^[a-c]'
            ! RC0612
            sqlserver > postgresql: SELECT id FROM frame WHERE title LIKE '%[[]a-b%'
            = SELECT id FROM frame WHERE title ~ '[\\[]a-b'
            ! RC0612
            sqlserver > mysql: SELECT id FROM frame WHERE title LIKE 'x[^0-9]_%'
            = SELECT id FROM frame WHERE title REGEXP '^x[^0-9].'
            oracle > postgresql: SELECT SUBSTR(title, -3), SUBSTR(title, -4, 2) FROM frame
            = SELECT CASE WHEN CHAR_LENGTH(title) >= 3 THEN RIGHT(title, 3) ELSE NULL END, CASE WHEN CHAR_LENGTH(title) >= 4 THEN LEFT(RIGHT(title, 4), 2) ELSE NULL END FROM frame
            mysql > oracle: SELECT CONCAT(title, NULL), CONCAT_WS('-', title, band) FROM frame
            = -
            ! RC0602
            postgresql > mysql: SELECT LEFT(title, -1) FROM frame
            = -
            ! RC0602
            mysql > sqlite: SELECT SUBSTRING_INDEX(title, '.', 2) FROM frame
            = -
            ! RC0602
            """;

    private static final String NUMBERS = """
            sqlserver > postgresql: SELECT flux / 2, 7 / 2, CAST(7 AS decimal(5,2)) / 2 FROM frame
            = SELECT flux / 2, 7 / 2, CAST(7 AS numeric(5,2)) / 2 FROM frame
            mysql > postgresql: SELECT 7 / 2, 7 DIV 2, 7 % 0, 5 XOR 1 FROM frame
            = SELECT ROUND(CAST(7 AS numeric) / 2, 4), DIV(7, 2), 7 % NULLIF(0, 0), CASE WHEN (5 <> 0) <> (1 <> 0) THEN 1 WHEN NOT (5 <> 0) <> (1 <> 0) THEN 0 END FROM frame
            oracle > sqlserver: SELECT MOD(id, 2), TRUNC(flux, 1), POWER(flux, 2) FROM frame
            = SELECT (id % 2), ROUND(flux, 1, 1), POWER(flux, 2) FROM frame
            postgresql > mysql: SELECT 7 / 2, 2 ^ 3, |/ 9, 1_000 FROM frame
            = SELECT 7 DIV 2, POWER(2, 3), SQRT(9), 1000 FROM frame
            sqlserver > postgresql: SELECT CAST(flux AS varchar), CAST(title AS int) FROM frame
            = SELECT CAST(flux AS character varying(30)), CAST(title AS integer) FROM frame
            mysql > postgresql: SELECT CAST(title AS CHAR(5)), CAST(id AS UNSIGNED) FROM frame
            = SELECT CAST(title AS character varying(5)), CAST(id AS numeric(20,0)) FROM frame
            """;

    private static final String DATES = """
            oracle > postgresql: SELECT SYSDATE + 7, TO_DATE('20260131', 'YYYYMMDD') + 1/24, ADD_MONTHS(taken, 3) FROM frame
            = SELECT (LOCALTIMESTAMP + 7 * INTERVAL '1 day'), (DATE '2026-01-31' + (CAST(1 AS numeric) / 24) * INTERVAL '1 day'), (taken + 3 * INTERVAL '1 month') FROM frame
            ! RC0607
            oracle > mysql: SELECT TRUNC(taken, 'MM'), TO_CHAR(taken, 'DD.MM.YYYY HH24:MI') FROM frame
            = SELECT CAST(DATE_FORMAT(taken, '%Y-%m-01') AS DATETIME), DATE_FORMAT(taken, '%d.%m.%Y %H:%i') FROM frame
            ! RC0620
            mysql > postgresql: SELECT DATE_ADD(taken, INTERVAL 1 MONTH), DATE_SUB(taken, INTERVAL '1:30' HOUR_MINUTE) FROM frame
            = SELECT taken + INTERVAL '1 month', taken - INTERVAL '1 hour' - INTERVAL '30 minute' FROM frame
            mysql > postgresql: SELECT CURDATE() + 0 FROM frame
            = -
            ! RC0602
            sqlserver > postgresql: SELECT DATEADD(day, 7, taken), DATEDIFF(month, taken, GETDATE()) FROM frame
            = SELECT (taken + 7 * INTERVAL '1 day'), ((EXTRACT(YEAR FROM CURRENT_TIMESTAMP) - EXTRACT(YEAR FROM taken)) * 12 + EXTRACT(MONTH FROM CURRENT_TIMESTAMP) - EXTRACT(MONTH FROM taken)) FROM frame
            db2 > postgresql: SELECT CURRENT DATE + 1 MONTH - 2 DAYS, DAYS(taken) FROM frame
            = SELECT CAST(CAST(CURRENT_DATE + INTERVAL '1 month' AS date) - INTERVAL '2 day' AS date), (CAST(taken AS date) - DATE '2000-01-01' + 730120) FROM frame
            mysql > db2: SELECT TO_DAYS(taken) FROM frame
            = SELECT (DAYS(taken) + 365) FROM frame
            postgresql > oracle: SELECT taken + INTERVAL '1 month 2 days', taken::date FROM frame
            = SELECT taken + NUMTOYMINTERVAL(1, 'MONTH') + NUMTODSINTERVAL(2, 'DAY'), CAST(taken AS date) FROM frame
            postgresql > mariadb: SELECT CAST('infinity' AS timestamp) FROM frame
            = -
            ! RC0602
            teradata > postgresql: SELECT taken (FORMAT 'YYYY-MM-DD') (CHAR(10)), DATE - 30 FROM frame
            = SELECT CAST(TO_CHAR(taken, 'YYYY-MM-DD') AS character(10)), CURRENT_DATE - 30 FROM frame
            ! RC0620
            firebird > postgresql: SELECT DATEADD(1 DAY TO taken), DATEDIFF(DAY FROM taken TO CURRENT_TIMESTAMP) FROM frame
            = SELECT (taken + 1 * INTERVAL '1 day'), (CAST(CURRENT_TIMESTAMP AS date) - CAST(taken AS date)) FROM frame
            """;

    private static final String QUERIES = """
            sqlserver > postgresql: SELECT TOP 5 id FROM frame ORDER BY id
            = SELECT id FROM frame ORDER BY id NULLS FIRST LIMIT 5
            sqlserver > postgresql: SELECT TOP 5 WITH TIES id FROM frame ORDER BY flux DESC
            = SELECT id FROM frame ORDER BY flux DESC NULLS LAST FETCH FIRST 5 ROWS WITH TIES
            oracle > postgresql: SELECT id FROM frame WHERE ROWNUM <= 10
            = SELECT id FROM frame LIMIT 10
            oracle > postgresql: SELECT id FROM (SELECT id FROM frame ORDER BY flux) WHERE ROWNUM < 4
            = SELECT id FROM (SELECT id FROM frame ORDER BY flux LIMIT 3) t_1_16
            oracle > postgresql: SELECT * FROM frame f, star s WHERE f.id = s.id(+) AND s.kind(+) = 1
            = SELECT * FROM frame f LEFT JOIN star s ON f.id = s.id AND s.kind = 1
            oracle > postgresql: SELECT LEVEL, id FROM node START WITH up IS NULL CONNECT BY PRIOR id = up
            = WITH RECURSIVE tree_ AS ( SELECT node.*, 1 AS depth_ FROM node node WHERE up IS NULL UNION ALL SELECT node.*, tree_.depth_ + 1 FROM node node JOIN tree_ ON tree_.id = node.up ) SELECT depth_ AS level, id FROM tree_ node
            ! RC0627
            postgresql > mysql: SELECT DISTINCT ON (band) band, id FROM frame ORDER BY band, id DESC
            = SELECT band, id FROM ( SELECT band AS band, id AS id, ROW_NUMBER() OVER (PARTITION BY band ORDER BY CASE WHEN band IS NULL THEN 1 ELSE 0 END, band, CASE WHEN id IS NULL THEN 0 ELSE 1 END, id DESC) AS row_rank_ FROM frame ) ranked_ WHERE row_rank_ = 1 ORDER BY CASE WHEN band IS NULL THEN 1 ELSE 0 END, band, CASE WHEN id IS NULL THEN 0 ELSE 1 END, id DESC
            snowflake > postgresql: SELECT * FROM frame QUALIFY ROW_NUMBER() OVER (PARTITION BY band ORDER BY id) = 1
            = SELECT * FROM (SELECT *, ROW_NUMBER() OVER (PARTITION BY band ORDER BY id) AS row_rank_2 FROM frame) ranked_ WHERE row_rank_2 = 1
            ! RC0627
            snowflake > postgresql: SELECT doc:a.b::STRING FROM frame
            = SELECT CAST(JSONB_PATH_QUERY_FIRST(CAST(doc AS jsonb), CAST('$.a.b' AS jsonpath)) AS text) FROM frame
            sqlserver > postgresql: SELECT f.id, s.n FROM frame f OUTER APPLY (SELECT TOP 1 name AS n FROM star s WHERE s.id = f.id) s
            = SELECT f.id, s.n FROM frame f LEFT JOIN LATERAL (SELECT name AS n FROM star s WHERE s.id = f.id LIMIT 1) s ON 1 = 1
            postgresql > sqlserver: SELECT id FROM frame LIMIT 5 OFFSET 10
            = SELECT id FROM frame ORDER BY (SELECT NULL) OFFSET 10 ROWS FETCH NEXT 5 ROWS ONLY
            postgresql > oracle: SELECT id FROM frame ORDER BY id DESC NULLS LAST LIMIT 5
            = SELECT id FROM frame ORDER BY id DESC NULLS LAST FETCH FIRST 5 ROWS ONLY
            mysql > oracle: SELECT id FROM frame LIMIT 10, 5
            = SELECT id FROM frame OFFSET 10 ROWS FETCH NEXT 5 ROWS ONLY
            oracle > postgresql: SELECT title, LISTAGG(band, ',') WITHIN GROUP (ORDER BY band) OVER (PARTITION BY title) FROM frame
            = SELECT title, STRING_AGG(band, ',') OVER (PARTITION BY title ORDER BY band ROWS BETWEEN UNBOUNDED PRECEDING AND UNBOUNDED FOLLOWING) FROM frame
            oracle > mysql: SELECT band FROM frame MINUS SELECT band FROM star
            = SELECT band FROM frame EXCEPT SELECT band FROM star
            mysql > postgresql: SELECT * FROM a STRAIGHT_JOIN b LEFT JOIN c ON a.x = c.x
            = SELECT * FROM a CROSS JOIN b LEFT JOIN c ON a.x = c.x
            teradata > postgresql: LOCKING ROW FOR ACCESS SEL TOP 3 id FROM frame WHERE flux GT 5
            = SELECT id FROM frame WHERE flux > 5 LIMIT 3
            teradata > postgresql: SELECT * FROM frame SAMPLE 0.25
            = SELECT * FROM frame TABLESAMPLE BERNOULLI (25)
            ! RC0624
            db2 > mysql: SELECT title CONCAT band, NEXTVAL FOR sq FROM frame FETCH FIRST 3 ROWS ONLY
            = -
            ! RC0602
            mysql > postgresql: SELECT 2026_plates.id FROM 2026_plates
            = SELECT "2026_plates".id FROM "2026_plates"
            oracle > postgresql: SELECT table_name FROM user_tables
            = SELECT table_name FROM user_tables
            ! RC0616
            sqlserver > postgresql: SELECT title INTO plates FROM frame
            = CREATE TABLE plates AS SELECT title FROM frame
            oracle > postgresql: SELECT COUNT(*) INTO n FROM frame
            = -
            ! RC0602
            """;

    private static final String CHANGES = """
            mysql > postgresql: INSERT IGNORE INTO frame (id) VALUES (1)
            = INSERT INTO frame (id) VALUES (1) ON CONFLICT DO NOTHING
            ! RC0623
            mysql > postgresql: DELETE FROM frame WHERE flux < 5 ORDER BY id LIMIT 2
            = DELETE FROM frame WHERE ctid IN (SELECT ctid FROM frame WHERE flux < 5 ORDER BY id NULLS FIRST LIMIT 2)
            mysql > postgresql: UPDATE frame SET title = 'x' LIMIT 5
            = UPDATE frame SET title = 'x' WHERE ctid IN (SELECT ctid FROM frame LIMIT 5)
            sqlserver > postgresql: DELETE TOP (3) FROM frame
            = DELETE FROM frame WHERE ctid IN (SELECT ctid FROM frame LIMIT 3)
            mysql > postgresql: UPDATE frame f JOIN star s ON s.id = f.star SET f.title = s.name WHERE s.kind = 1
            = UPDATE frame f SET title = s.name FROM star s WHERE s.id = f.star AND s.kind = 1
            sqlserver > postgresql: UPDATE f SET f.title = s.name FROM frame f JOIN star s ON s.id = f.star
            = UPDATE frame f SET title = s.name FROM star s WHERE s.id = f.star
            postgresql > mariadb: UPDATE frame SET title = 'x' RETURNING id
            = -
            ! RC0602
            oracle > postgresql: INSERT ALL INTO a (x) VALUES (1) INTO b (y) VALUES (2) SELECT * FROM dual
            = INSERT INTO a (x) VALUES (1); INSERT INTO b (y) VALUES (2)
            teradata > postgresql: INSERT INTO frame VALUES (1, , 'x')
            = INSERT INTO frame VALUES (1, NULL, 'x')
            db2 > postgresql: MERGE INTO frame f USING star s ON f.id = s.id WHEN MATCHED THEN UPDATE SET title = s.name ELSE IGNORE
            = MERGE INTO frame f USING star s ON f.id = s.id WHEN MATCHED THEN UPDATE SET title = s.name
            postgresql > mysql: SELECT id FROM frame WHERE id = $1 AND star = $2 OR id = $1
            = SELECT id FROM frame WHERE id = ? AND star = ? OR id = ?
            ! RC0621
            postgresql > oracle: SELECT id FROM frame WHERE id = $1
            = SELECT id FROM frame WHERE id = :1
            """;

    private static final String STRUCTURE = """
            mysql > postgresql: CREATE TABLE t (id int PRIMARY KEY, seen timestamp DEFAULT CURRENT_TIMESTAMP ON UPDATE CURRENT_TIMESTAMP)
            = CREATE TABLE t ( id integer PRIMARY KEY, seen timestamp(0) with time zone DEFAULT CURRENT_TIMESTAMP ); CREATE FUNCTION t_seen_on_update() RETURNS trigger LANGUAGE plpgsql AS $$ BEGIN NEW.seen := CURRENT_TIMESTAMP; RETURN NEW; END $$; CREATE TRIGGER t_seen_on_update BEFORE UPDATE ON t FOR EACH ROW WHEN (NEW.* IS DISTINCT FROM OLD.* AND NEW.seen IS NOT DISTINCT FROM OLD.seen) EXECUTE FUNCTION t_seen_on_update()
            mysql > oracle: CREATE TABLE t (id int PRIMARY KEY, seen datetime ON UPDATE CURRENT_TIMESTAMP)
            = CREATE TABLE t ( id number(10) PRIMARY KEY, seen timestamp(0) )
            ! RC0627
            mysql > postgresql: CREATE TABLE t (a varchar(50), z datetime DEFAULT '0000-00-00 00:00:00', UNIQUE KEY u (a(10)))
            = CREATE TABLE t ( a character varying(50), z timestamp(0) without time zone DEFAULT NULL ); CREATE UNIQUE INDEX u ON t ((SUBSTR(a, 1, 10)))
            ! RC0107
            mysql > postgresql: CREATE TABLE t (b bit(8) DEFAULT b'101')
            = CREATE TABLE t ( b bit(8) DEFAULT B'00000101' )
            sqlserver > postgresql: CREATE TABLE t (id int IDENTITY(5,2) PRIMARY KEY NONCLUSTERED, b bit DEFAULT (1), INDEX ix NONCLUSTERED (b DESC) INCLUDE (id))
            = CREATE TABLE t ( id integer GENERATED BY DEFAULT AS IDENTITY (START WITH 5 INCREMENT BY 2) PRIMARY KEY, b boolean DEFAULT TRUE ); CREATE INDEX ix ON t (b DESC)
            snowflake > postgresql: CREATE TABLE t CLONE frame
            = CREATE TABLE t AS SELECT * FROM frame
            ! RC0627
            mysql > postgresql: CREATE TABLE t LIKE frame
            = CREATE TABLE t (LIKE frame INCLUDING ALL)
            postgresql > mysql: CREATE INDEX ix ON frame USING gin (doc)
            =
            ! RC0627
            oracle > postgresql: ALTER TABLE frame DISABLE CONSTRAINT fk
            = -
            ! RC0602
            oracle > postgresql: CREATE DATABASE LINK far CONNECT TO a IDENTIFIED BY b USING 'c'
            = -
            ! RC0602
            sqlserver > postgresql: EXEC sp_rename 'dbo.frame.title', 'name', 'COLUMN'
            = ALTER TABLE public.frame RENAME COLUMN title TO name
            sqlserver > postgresql: EXEC sp_rename 'dbo.frame.ix', 'iy', 'INDEX'
            = -
            ! RC0602
            sqlserver > postgresql: EXEC sp_rename 'dbo.ck', 'cl', 'OBJECT'
            = -
            ! RC0602
            mysql > postgresql: ALTER TABLE t ADD COLUMN seen datetime ON UPDATE CURRENT_TIMESTAMP
            = ALTER TABLE t ADD COLUMN seen timestamp(0) without time zone
            ! RC0627
            sqlserver > postgresql: EXEC sp_who
            = -
            ! RC0602
            db2 > postgresql: COMMENT ON frame (id IS 'key', title IS 'name')
            = COMMENT ON COLUMN frame.id IS 'key'; COMMENT ON COLUMN frame.title IS 'name'
            teradata > postgresql: CREATE MULTISET TABLE t, NO FALLBACK, CHECKSUM = DEFAULT (a INTEGER, d DATE FORMAT 'YYYY-MM-DD') PRIMARY INDEX (a)
            = CREATE TABLE t ( a integer, d date )
            postgresql > h2: SELECT setval('public.sq', 41, true)
            = ALTER SEQUENCE public.sq RESTART WITH 42
            oracle > postgresql: LOCK TABLE frame IN EXCLUSIVE MODE
            = -
            ! RC0602
            oracle > postgresql: ALTER SESSION SET NLS_DATE_FORMAT = 'YYYY'
            =
            ! RC0627
            postgresql > mysql: GRANT USAGE ON SCHEMA kro TO app
            = -
            ! RC0602
            firebird > postgresql: CREATE DOMAIN d AS VARCHAR(10) CHARACTER SET UTF8 NOT NULL
            = CREATE DOMAIN d AS character varying(10) NOT NULL
            """;

    private static final String FUNCTIONS = """
            postgresql > h2: SELECT CAST(title AS jsonb) FROM frame
            = SELECT (title FORMAT JSON) FROM frame
            oracle > postgresql: SELECT RATIO_TO_REPORT(flux) OVER (PARTITION BY band) FROM frame
            = SELECT CAST(flux AS double precision) / NULLIF(SUM(flux) OVER (PARTITION BY band), 0) FROM frame
            oracle > postgresql: SELECT REGEXP_SUBSTR(title, '[^,]+', 1, 2), GROUPING_ID(a, b) FROM frame GROUP BY CUBE (a, b)
            = SELECT REGEXP_SUBSTR(title, '[^,]+', 1, 2), GROUPING(a, b) FROM frame GROUP BY CUBE (a, b)
            mysql > oracle: SELECT GROUP_CONCAT(band ORDER BY band SEPARATOR ';') FROM frame
            = SELECT LISTAGG(band, ';') WITHIN GROUP (ORDER BY band NULLS FIRST) FROM frame
            oracle > mysql: SELECT LISTAGG(band, ';') WITHIN GROUP (ORDER BY band) FROM frame
            = SELECT GROUP_CONCAT(band ORDER BY band SEPARATOR ';') FROM frame
            ! RC0627 RC0607
            snowflake > mysql: SELECT EQUAL_NULL(a, b), DIV0(a, b) FROM frame
            = SELECT (a <=> b), CASE WHEN b = 0 THEN 0 ELSE a / b END FROM frame
            oracle > postgresql: SELECT UID FROM dual
            = SELECT UID
            ! RC0606
            db2 > postgresql: SELECT GX'0041' FROM frame
            = -
            ! RC0602
            """;

    private static Stream<RuleCase> cases() {
        return Stream.of(TEXTS_AND_NULL, NUMBERS, DATES, QUERIES, CHANGES, STRUCTURE, FUNCTIONS)
                .flatMap(RuleCase::of);
    }

    @ParameterizedTest
    @MethodSource("cases")
    void keepsItsMeaningOrSaysSo(RuleCase rule) {
        RuleCase.Result result = rule.run();
        assertThat(result.text()).isEqualTo(rule.expected());
        assertThat(result.findings()).isEqualTo(rule.findings());
    }
}
