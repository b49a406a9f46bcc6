-- to: postgresql mysql db2
DROP TABLE Star;
-- RC0602 by hand: No counterpart on the target: the function new_uuid has no counterpart in db2
-- CREATE TABLE [dbo].[Star](
-- 	[Id] [int] IDENTITY(1,1) NOT NULL,
-- 	[Name] [nvarchar](80) COLLATE Latin1_General_CI_AS NOT NULL,
-- 	[Active] [bit] NOT NULL CONSTRAINT [DF_Active] DEFAULT ((1)),
-- 	[Seen] [datetime2](3) NULL DEFAULT (getdate()),
-- 	[Token] [uniqueidentifier] NULL DEFAULT (newid()),
-- 	[Total] AS ([Id]*2) PERSISTED,
--  CONSTRAINT [PK_Star] PRIMARY KEY CLUSTERED ([Id] ASC) WITH (PAD_INDEX = OFF) ON [PRIMARY]
-- ) ON [PRIMARY]
INSERT INTO Star (Name) VALUES ('Kestra');
INSERT INTO Star (Name, Active) VALUES ('Ridgel', FALSE);
SELECT Name, COALESCE(Seen, CURRENT TIMESTAMP) AS Seen
FROM Star
WHERE Name = 'x'
ORDER BY Seen DESC NULLS LAST
FETCH FIRST 5 ROWS ONLY;
SELECT
    Name || ' ' || LEFT(VARCHAR_FORMAT(Seen, 'YYYY-MM-DD HH24:MI:SS'), 10),
    CHARACTER_LENGTH(RTRIM(Name)),
    LOCATE('e', Name),
    (DAYS(CURRENT TIMESTAMP) - DAYS(Seen))
FROM Star;
SELECT COUNT(*) AS Total, MAX(Seen) AS "MAX SEEN" FROM Star;
MERGE INTO Star s
USING Renamed r
ON r.Id = s.Id AND r.Ok = 1
WHEN MATCHED THEN UPDATE SET Name = r.Name;
DELETE FROM Star s WHERE EXISTS (SELECT 1 FROM Renamed r WHERE r.Id = s.Id);
SELECT s.Name, x.Note
FROM Star s
CROSS JOIN LATERAL (SELECT Note FROM Reading r WHERE r.StarId = s.Id ORDER BY r.Id NULLS FIRST FETCH FIRST 1 ROWS ONLY) x;
SELECT Name FROM Star ORDER BY Id OFFSET 10 ROWS FETCH NEXT 5 ROWS ONLY;
MERGE INTO Star t
USING (SELECT 1 AS Id, 'n' AS Name FROM SYSIBM.SYSDUMMY1) s
ON t.Id = s.Id
WHEN MATCHED THEN UPDATE SET Name = s.Name
WHEN NOT MATCHED THEN INSERT (Name) VALUES (s.Name);
-- RC0603 by hand: Code is not translated: procedure
-- CREATE PROCEDURE dbo.P @a int AS BEGIN SELECT @a; SELECT 2; END
CREATE GLOBAL TEMPORARY TABLE "#TMP" AS (SELECT * FROM Star) WITH DATA ON COMMIT PRESERVE ROWS;
-- RC0602 by hand: No counterpart on the target: a cast that gives NULL for what cannot be converted cannot be said in db2
-- SELECT IIF(Active = 1, 'yes', 'no'), TRY_CAST(Name AS int), 7/2, Id % 3 FROM dbo.Star

-- findings
-- 2:1: RC0604 adapted: Client command left out: SET NOCOUNT ON
-- 4:43: RC0627 check: Said in other words, with a difference: without IF EXISTS the statement can fail
-- 4:43: RC0609 adapted: Said in other words: the schema dbo is left out
-- 6:1: RC0602 by hand: No counterpart on the target: the function new_uuid has no counterpart in db2
-- 16:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 17:55: RC0614 adapted: Condition made explicit: 0 for a truth value
-- 17:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 19:66: RC0605 adapted: Hint left out: WITH ( NOLOCK )
-- 19:20: RC0608 adapted: Function spelled otherwise: ISNULL means coalesce
-- 19:91: RC0612 check: Comparison may ignore case on the source
-- 19:106: RC0611 adapted: NULLs sorted as on the source: NULLs last
-- 19:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 20:19: RC0609 adapted: Said in other words: + puts texts together
-- 20:54: RC0609 adapted: Said in other words: length_without_padding in other words
-- 20:65: RC0612 check: Comparison may ignore case on the source: locate
-- 20:65: RC0608 adapted: Function spelled otherwise: CHARINDEX means locate
-- 20:87: RC0608 adapted: Function spelled otherwise: DATEDIFF means diff_days
-- 20:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 21:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 22:1: RC0609 adapted: Said in other words: an UPDATE that reads another table as MERGE
-- 22:1: RC0627 check: Said in other words, with a difference: a row that matches several rows of the other table is an error
-- 22:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 23:1: RC0609 adapted: Said in other words: a DELETE that reads other tables, with EXISTS
-- 23:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 24:120: RC0611 adapted: NULLs sorted as on the source: NULLs first
-- 24:39: RC0609 adapted: Said in other words: APPLY as LATERAL
-- 24:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 25:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 26:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 28:1: RC0603 by hand: Code is not translated: procedure
-- 30:1: RC0609 adapted: Said in other words: SELECT INTO as CREATE TABLE AS
-- 30:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 31:1: RC0602 by hand: No counterpart on the target: a cast that gives NULL for what cannot be converted cannot be said in db2
