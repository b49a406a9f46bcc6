-- to: postgresql
SET search_path TO Kestrel;
-- RC0603 by hand: Code is not translated: block of code
-- IF NOT EXISTS (SELECT * FROM sys.objects WHERE object_id = OBJECT_ID(N'[dbo].[Telescope]') AND type in (N'U'))
-- BEGIN
-- CREATE TABLE [dbo].[Telescope](
-- 	[TelescopeId] [int] IDENTITY(1,1) NOT FOR REPLICATION NOT NULL,
-- 	[Name] [nvarchar](100) COLLATE SQL_Latin1_General_CP1_CI_AS NOT NULL,
-- 	[Aperture] [decimal](6, 3) NULL CONSTRAINT [DF_T_Ap] DEFAULT ((0)),
-- 	[Price] [money] NULL,
-- 	[Notes] [nvarchar](max) NULL,
-- 	[Img] [varbinary](max) NULL,
-- 	[Guid] [uniqueidentifier] ROWGUIDCOL NOT NULL DEFAULT (newid()),
-- 	[Active] [bit] NOT NULL DEFAULT ((1)),
-- 	[Created] [datetime2](7) NOT NULL DEFAULT (sysutcdatetime()),
-- 	[Upd] [datetime] NULL DEFAULT (getdate()),
-- 	[Off] [datetimeoffset](3) NULL,
-- 	[Ver] [timestamp] NOT NULL,
-- 	[Doc] [xml] NULL,
-- 	[FullName]  AS ([Name]+N' '+CONVERT([nvarchar](10),[Active])) PERSISTED,
--  CONSTRAINT [PK_Telescope] PRIMARY KEY CLUSTERED 
-- (
-- 	[TelescopeId] ASC
-- )WITH (PAD_INDEX = OFF, STATISTICS_NORECOMPUTE = OFF, IGNORE_DUP_KEY = OFF, ALLOW_ROW_LOCKS = ON, ALLOW_PAGE_LOCKS = ON) ON [PRIMARY]
-- ) ON [PRIMARY] TEXTIMAGE_ON [PRIMARY]
-- END
CREATE TABLE dbo.Obs (
    Id bigint GENERATED ALWAYS AS IDENTITY (START WITH 1 INCREMENT BY 1) NOT NULL PRIMARY KEY,
    TelescopeId integer NOT NULL REFERENCES dbo.Telescope (TelescopeId) ON DELETE CASCADE,
    Mag real,
    T time(0) without time zone,
    D date,
    S timestamp(0) without time zone,
    SM numeric(10,4),
    TT smallint CHECK (tt BETWEEN 0 AND 255),
    H text,
    G text,
    V text
);
CREATE INDEX IX_Mag ON dbo.Obs (Mag DESC);
ALTER TABLE dbo.Obs ADD CONSTRAINT FK_Obs_Tel FOREIGN KEY (TelescopeId) REFERENCES dbo.Telescope (TelescopeId) ON UPDATE CASCADE;
ALTER TABLE dbo.Obs ADD COLUMN Remark character varying(200) DEFAULT '' NOT NULL;
ALTER TABLE dbo.Obs ADD COLUMN Flag boolean;
ALTER TABLE dbo.Obs ALTER COLUMN Remark TYPE character varying(400);
ALTER TABLE dbo.Obs ALTER COLUMN Remark DROP NOT NULL;
ALTER TABLE dbo.Obs DROP CONSTRAINT DF_R;
ALTER TABLE dbo.Obs DROP COLUMN Flag;
ALTER TABLE dbo.Obs ALTER COLUMN Mag SET DEFAULT 0;
CREATE UNIQUE INDEX IX_T ON dbo.Telescope (Name, Created DESC) INCLUDE (Price) WHERE Active = 1;
CREATE SEQUENCE dbo.Seq START WITH 1 INCREMENT BY 1 MINVALUE 1 CACHE 50 CYCLE;
CREATE VIEW dbo.vT AS
SELECT TelescopeId, Name FROM dbo.Telescope WHERE Active = 1
WITH CHECK OPTION;
ALTER TABLE dbo.Obs RENAME COLUMN Remark TO Note;
CREATE DOMAIN dbo.Code AS character varying(11) NOT NULL;
CREATE VIEW dbo.Scope AS
SELECT * FROM dbo.Telescope;
CREATE SCHEMA stage;
-- RC0602 by hand: No counterpart on the target: an index of kind FULLTEXT cannot be said in postgresql
-- CREATE FULLTEXT INDEX ON dbo.Telescope(Name) KEY INDEX PK_Telescope
INSERT INTO dbo.Telescope (TelescopeId, Name, Active) VALUES (1, 'One', 1), (2, 'It''s', 0);
INSERT INTO dbo.Telescope (Name, Created)
VALUES ('X', CAST('2020-01-02T03:04:05.000' AS timestamp(3) without time zone));
SELECT t.*, COALESCE(t.Notes, '') || 'x' AS n
FROM Telescope t
ORDER BY t.Price DESC NULLS LAST
FETCH FIRST 10 ROWS WITH TIES;
-- RC0602 by hand: No counterpart on the target: a share of the rows, or rows WITH TIES cannot be said in postgresql
-- SELECT TOP 5 PERCENT * FROM Telescope
SELECT
    Name,
    COUNT(*) OVER (PARTITION BY Active) AS c,
    STRING_AGG(Name, ',' ORDER BY Name NULLS FIRST)
FROM Telescope
GROUP BY Name, Active;
SELECT
    (Created + 7 * INTERVAL '1 day'),
    (EXTRACT(EPOCH FROM DATE_TRUNC('hour', CAST(CURRENT_TIMESTAMP AS timestamp)) - DATE_TRUNC('hour', CAST(Created AS timestamp))) / 3600),
    DATEPART(week, Created),
    TO_CHAR(Created, 'FMMonth'),
    CAST(DATE_TRUNC('month', Created) + INTERVAL '1 month' - INTERVAL '1 day' AS date),
    LEFT(TO_CHAR(Created, 'YYYY-MM-DD HH24:MI:SS'), 10),
    TO_CHAR(Created, 'YYYY-MM-DD'),
    EXTRACT(YEAR FROM Created)
FROM Telescope;
-- RC0602 by hand: No counterpart on the target: the function soundex with 1 argument(s) has no counterpart in postgresql
-- SELECT LEN(Name), CHARINDEX('a', Name), PATINDEX('%[0-9]%', Name), STUFF(Name, 1, 2, 'zz'), REPLICATE('a', 3), LEFT(Name, 3), REVERSE(Name), QUOTENAME(Name), SOUNDEX(Name), CHECKSUM(Name), HASHBYTES('SHA2_256', Name) FROM Telescope
-- RC0602 by hand: No counterpart on the target: a cast that gives NULL for what cannot be converted cannot be said in postgresql
-- SELECT IIF(Active = 1, 'y', 'n'), CHOOSE(2, 'a', 'b'), COALESCE(NULL, 1), TRY_CAST('1' AS int), TRY_CONVERT(date, 'x'), ISNUMERIC(Name), NEWID(), @@ROWCOUNT, SCOPE_IDENTITY(), DB_NAME(), SUSER_SNAME() FROM Telescope
SELECT *
FROM Telescope t
CROSS JOIN LATERAL (SELECT * FROM Obs o WHERE o.TelescopeId = t.TelescopeId ORDER BY o.Mag NULLS FIRST LIMIT 1) x
LEFT JOIN STRING_SPLIT(t.Name, ',') s ON 1 = 1;
-- RC0602 by hand: No counterpart on the target: FOR XML
-- SELECT Name FROM Telescope FOR XML PATH('t'), ROOT('r')
-- RC0602 by hand: No counterpart on the target: FOR JSON
-- SELECT Name FROM Telescope FOR JSON AUTO
CREATE TEMPORARY TABLE "#tmp" AS
SELECT * FROM Telescope WHERE 1 = 0;
-- RC0602 by hand: No counterpart on the target: a table function with a schema of its own
-- SELECT * FROM OPENJSON(@j) WITH (id int '$.id', nm nvarchar(10) '$.n')
SELECT
    (JSONB_PATH_QUERY_FIRST(CAST(Notes AS jsonb), CAST('$.a' AS jsonpath)) #>> '{}'),
    JSONB_PATH_QUERY_FIRST(CAST(Notes AS jsonb), CAST('$.b' AS jsonpath)),
    (Notes IS JSON)
FROM Telescope;
UPDATE Telescope t
SET Name = o.Remark
FROM Obs o
WHERE o.TelescopeId = t.TelescopeId AND o.Mag > 5
RETURNING Name;
DELETE FROM Obs WHERE ctid IN (SELECT ctid FROM Obs WHERE Mag IS NULL LIMIT 10);
DELETE FROM Obs o
WHERE EXISTS (SELECT 1 FROM Telescope t WHERE t.TelescopeId = o.TelescopeId AND t.Active = 0);
-- RC0602 by hand: No counterpart on the target: WHEN NOT MATCHED BY SOURCE cannot be said in postgresql
-- MERGE dbo.Telescope AS t USING (VALUES (1, N'a')) AS s (id, nm) ON t.TelescopeId = s.id WHEN MATCHED AND t.Name <> s.nm THEN UPDATE SET Name = s.nm WHEN NOT MATCHED BY TARGET THEN INSERT (Name) VALUES (s.nm) WHEN NOT MATCHED BY SOURCE THEN DELETE OUTPUT $action, inserted.TelescopeId
WITH RECURSIVE c AS (
    SELECT 1 AS n
    UNION ALL
    SELECT n + 1 FROM c WHERE n < 10
)
SELECT *
FROM c;
SELECT *
FROM (
    SELECT
        SUM(CASE WHEN Active = '0' THEN Price END) AS "0",
        SUM(CASE WHEN Active = '1' THEN Price END) AS "1"
    FROM (SELECT Active, Price FROM Telescope) p
) pv;
-- RC0602 by hand: No counterpart on the target: PIVOT of a table whose columns are not known
-- SELECT u.k, u.v FROM Telescope UNPIVOT (v FOR k IN (Price, Aperture)) u
-- RC0603 by hand: Code is not translated: block of code
-- DECLARE @x int = 5, @y nvarchar(10)
-- SELECT @x = COUNT(*) FROM Telescope
-- PRINT 'done'
SELECT NEXTVAL('dbo.Seq');
SELECT * FROM Telescope ORDER BY Name NULLS FIRST LIMIT 5 OFFSET 10;
SELECT a.Name FROM Telescope a WHERE a.Name ~ '^[a-c].*$';
SELECT *
FROM Telescope
WHERE Created >= '20200101' AND Upd BETWEEN DATE '2020-01-01' AND TIMESTAMP '2020-01-02 00:00:00';
SELECT Created + 1, Price * 1.1, 7 / 2, 'a' || CAST(1 AS character varying(30)) FROM Telescope;
-- RC0602 by hand: No counterpart on the target: arithmetic with a date as a number
-- SELECT GETDATE() - 1, DATEDIFF(DAY, 0, GETDATE()), DATEADD(month, DATEDIFF(month, 0, GETDATE()), 0)
-- RC0603 by hand: Code is not translated: block of code
-- BEGIN TRY SELECT 1/0 END TRY BEGIN CATCH PRINT ERROR_MESSAGE() END CATCH
-- RC0603 by hand: Code is not translated: procedure
-- CREATE PROCEDURE dbo.p @a int AS BEGIN SET NOCOUNT ON; SELECT * FROM Telescope WHERE TelescopeId = @a; END
GRANT SELECT ON dbo.Telescope TO reader;
-- RC0602 by hand: No counterpart on the target: DENY
-- DENY DELETE ON dbo.Telescope TO reader
CALL dbo.p(a => 5);
-- RC0602 by hand: No counterpart on the target: SQL put together as text
-- EXEC('SELECT 1')
TRUNCATE TABLE dbo.Obs;
DROP INDEX IX_T;
DROP TABLE IF EXISTS dbo.Obs;
DROP TABLE IF EXISTS dbo.Telescope;
DROP VIEW dbo.vT;
-- RC0602 by hand: No counterpart on the target: ALTER DATABASE
-- ALTER DATABASE Kestrel SET RECOVERY SIMPLE
-- ALTER INDEX ALL ON dbo.Telescope REBUILD
-- DBCC CHECKIDENT ('dbo.Telescope', RESEED, 0)
-- BEGIN TRANSACTION
-- COMMIT TRAN
-- INSERT INTO Obs (TelescopeId) EXEC dbo.p 1
-- INSERT INTO Obs DEFAULT VALUES
-- INSERT INTO Obs (TelescopeId) OUTPUT inserted.Id INTO @ids VALUES (1)
-- SELECT name FROM sys.tables
-- SELECT COUNT_BIG(*), STDEV(Price), VAR(Price), STDEVP(Price), APPROX_COUNT_DISTINCT(Name), GROUPING_ID(Active), CHECKSUM_AGG(1) FROM Telescope GROUP BY Active WITH ROLLUP
-- SELECT DISTINCT TOP 3 Name FROM Telescope
-- SELECT Name AS 'The Name', [Price] = Price * 2, "q" FROM Telescope
-- SELECT LAG(Price, 1, 0) OVER (ORDER BY Created), PERCENTILE_CONT(0.5) WITHIN GROUP (ORDER BY Price) OVER (PARTITION BY Active) FROM Telescope
-- SELECT CONCAT_WS(',', Name, Notes), TRIM('x' FROM Name), STRING_ESCAPE(Name, 'json'), TRANSLATE(Name, 'ab', 'cd'), CAST(Created AS date), CAST(Price AS int), SWITCHOFFSET(Off, '+00:00'), TODATETIMEOFFSET(Created, '+01:00'), Created AT TIME ZONE 'UTC' FROM Telescope

-- findings
-- 4:1: RC0604 adapted: Client command left out: SET ANSI_NULLS ON
-- 6:1: RC0604 adapted: Client command left out: SET QUOTED_IDENTIFIER ON
-- 8:1: RC0603 by hand: Code is not translated: block of code
-- 32:51: RC0502 adapted: Storage clauses left out: NONCLUSTERED
-- 32:171: RC0502 adapted: Storage clauses left out: Mag: SPARSE
-- 32:244: RC0101 adapted: Unsigned range kept by a check: TT: smallint for unsigned 8 bits
-- 32:256: RC0111 check: Type without counterpart crosses as text: H: hierarchyid as text
-- 32:271: RC0111 check: Type without counterpart crosses as text: G: geography as text
-- 32:284: RC0111 check: Type without counterpart crosses as text: V: sql_variant as text
-- 38:1: RC0502 adapted: Storage clauses left out: CHECK CONSTRAINT [FK_Obs_Tel]
-- 40:25: RC0502 adapted: Storage clauses left out: Remark: WITH VALUES
-- 48:1: RC0502 adapted: Storage clauses left out: NONCLUSTERED
-- 48:1: RC0502 adapted: Storage clauses left out: WITH (FILLFACTOR = 80 , ONLINE = ON)
-- 48:1: RC0502 adapted: Storage clauses left out: ON [PRIMARY]
-- 52:1: RC0502 adapted: Storage clauses left out: WITH SCHEMABINDING
-- 54:1: RC0604 adapted: Client command left out: EXEC sys.sp_addextendedproperty
-- 60:1: RC0627 check: Said in other words, with a difference: a synonym as a view, which fits tables and views only
-- 62:1: RC0502 adapted: Storage clauses left out: AUTHORIZATION dbo
-- 64:1: RC0602 by hand: No counterpart on the target: an index of kind FULLTEXT cannot be said in postgresql
-- 66:1: RC0604 adapted: Client command left out: SET IDENTITY_INSERT dbo . Telescope ON
-- 69:1: RC0604 adapted: Client command left out: SET IDENTITY_INSERT dbo . Telescope OFF
-- 71:80: RC0605 adapted: Hint left out: WITH ( NOLOCK )
-- 71:52: RC0609 adapted: Said in other words: + puts texts together
-- 71:32: RC0608 adapted: Function spelled otherwise: ISNULL means coalesce
-- 71:103: RC0611 adapted: NULLs sorted as on the source: NULLs last
-- 72:1: RC0602 by hand: No counterpart on the target: a share of the rows, or rows WITH TIES cannot be said in postgresql
-- 73:98: RC0611 adapted: NULLs sorted as on the source: NULLs first
-- 74:8: RC0608 adapted: Function spelled otherwise: DATEADD means add_days
-- 74:34: RC0608 adapted: Function spelled otherwise: DATEDIFF means diff_hours
-- 74:70: RC0606 check: Function is not in the dictionary: DATEPART with these 2 argument(s)
-- 74:95: RC0608 adapted: Function spelled otherwise: DATENAME means month_name
-- 74:121: RC0608 adapted: Function spelled otherwise: EOMONTH means last_day
-- 74:175: RC0620 check: Format mask with a difference: the type of the formatted value is not known; it must be a date or timestamp
-- 74:191: RC0609 adapted: Said in other words: the mask yyyy-MM-dd is YYYY-MM-DD
-- 74:206: RC0608 adapted: Function spelled otherwise: YEAR means extract_year
-- 75:1: RC0602 by hand: No counterpart on the target: the function soundex with 1 argument(s) has no counterpart in postgresql
-- 76:1: RC0602 by hand: No counterpart on the target: a cast that gives NULL for what cannot be converted cannot be said in postgresql
-- 77:111: RC0611 adapted: NULLs sorted as on the source: NULLs first
-- 77:27: RC0609 adapted: Said in other words: APPLY as LATERAL
-- 77:132: RC0606 check: Function is not in the dictionary: STRING_SPLIT
-- 77:120: RC0609 adapted: Said in other words: APPLY as LATERAL
-- 78:28: RC0602 by hand: No counterpart on the target: FOR XML
-- 79:28: RC0602 by hand: No counterpart on the target: FOR JSON
-- 80:1: RC0609 adapted: Said in other words: SELECT INTO as CREATE TABLE AS
-- 81:28: RC0602 by hand: No counterpart on the target: a table function with a schema of its own
-- 82:8: RC0608 adapted: Function spelled otherwise: JSON_VALUE means json_get_text
-- 82:34: RC0608 adapted: Function spelled otherwise: JSON_QUERY means json_get
-- 82:60: RC0608 adapted: Function spelled otherwise: ISJSON means json_valid
-- 84:13: RC0609 adapted: Said in other words: the limit of a change as a query for the rows' addresses
-- 85:1: RC0609 adapted: Said in other words: a DELETE that reads other tables, with EXISTS
-- 86:1: RC0602 by hand: No counterpart on the target: WHEN NOT MATCHED BY SOURCE cannot be said in postgresql
-- 87:83: RC0605 adapted: Hint left out: OPTION ( MAXRECURSION 100 )
-- 88:55: RC0609 adapted: Said in other words: PIVOT as aggregates of choices
-- 89:1: RC0602 by hand: No counterpart on the target: PIVOT of a table whose columns are not known
-- 90:1: RC0603 by hand: Code is not translated: block of code
-- 95:34: RC0611 adapted: NULLs sorted as on the source: NULLs first
-- 96:45: RC0609 adapted: Said in other words: a LIKE pattern with brackets as a regular expression
-- 98:45: RC0609 adapted: Said in other words: + puts texts together
-- 99:1: RC0602 by hand: No counterpart on the target: arithmetic with a date as a number
-- 100:1: RC0603 by hand: Code is not translated: block of code
-- 102:1: RC0603 by hand: Code is not translated: procedure
-- 105:1: RC0602 by hand: No counterpart on the target: DENY
-- 107:5: RC0602 by hand: No counterpart on the target: SQL put together as text
-- 112:1: RC0602 by hand: No counterpart on the target: ALTER DATABASE
