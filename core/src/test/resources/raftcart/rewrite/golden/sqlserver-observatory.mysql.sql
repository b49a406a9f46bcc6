-- to: postgresql mysql db2
DROP TABLE IF EXISTS Star;
CREATE TABLE Star (
    Id int AUTO_INCREMENT NOT NULL,
    Name varchar(80) NOT NULL,
    Active tinyint(1) DEFAULT TRUE NOT NULL,
    Seen datetime(3) DEFAULT CURRENT_TIMESTAMP(3),
    Token char(36) DEFAULT (UUID()),
    CONSTRAINT PK_Star PRIMARY KEY (Id)
);
INSERT INTO Star (Name) VALUES ('Kestra');
INSERT INTO Star (Name, Active) VALUES ('Ridgel', FALSE);
SELECT Name, COALESCE(Seen, CURRENT_TIMESTAMP(6)) AS Seen
FROM Star
WHERE Name = 'x'
ORDER BY Seen DESC
LIMIT 5;
SELECT
    CONCAT(Name, ' ', LEFT(DATE_FORMAT(Seen, '%Y-%m-%d %H:%i:%s'), 10)),
    CHAR_LENGTH(RTRIM(Name)),
    LOCATE('e', Name),
    DATEDIFF(CURRENT_TIMESTAMP(6), Seen)
FROM Star;
SELECT COUNT(*) AS Total, MAX(Seen) AS `Max Seen` FROM Star;
UPDATE Star s
CROSS JOIN Renamed r
SET s.Name = r.Name
WHERE r.Id = s.Id AND r.Ok = 1;
DELETE s FROM Star s WHERE EXISTS (SELECT 1 FROM Renamed r WHERE r.Id = s.Id);
SELECT s.Name, x.Note
FROM Star s
CROSS JOIN LATERAL (SELECT Note FROM Reading r WHERE r.StarId = s.Id ORDER BY r.Id LIMIT 1) x;
SELECT Name FROM Star ORDER BY Id LIMIT 5 OFFSET 10;
-- RC0602 by hand: No counterpart on the target: a MERGE that does not insert the columns by which rows match
-- MERGE dbo.Star AS t USING (SELECT 1 AS Id, 'n' AS Name) AS s ON t.Id = s.Id WHEN MATCHED THEN UPDATE SET Name = s.Name WHEN NOT MATCHED THEN INSERT (Name) VALUES (s.Name)
-- RC0603 by hand: Code is not translated: a procedure, which is not written for this target from this source
-- CREATE PROCEDURE dbo.P @a int AS BEGIN SELECT @a; SELECT 2; END
CREATE TEMPORARY TABLE `#tmp` AS
SELECT * FROM Star;
SELECT
    IF(Active = TRUE, 'yes', 'no'),
    CASE WHEN Name REGEXP '^ *[-+]?[0-9]+ *$' THEN CAST(Name AS signed) END,
    7 DIV 2,
    Id % 3
FROM Star;

-- findings
-- 2:1: RC0604 adapted: Client command left out: SET NOCOUNT ON
-- 4:43: RC0609 adapted: Said in other words: the schema dbo is left out
-- 6:1: RC0502 adapted: Storage clauses left out: ON [PRIMARY]
-- 9:59: RC0614 adapted: Condition made explicit: 1 for a truth value
-- 11:43: RC0608 adapted: Function spelled otherwise: newid means new_uuid
-- 12:2: RC0627 check: Said in other words, with a difference: the computed column Total is left out, since it reads the numbered one
-- 13:2: RC0502 adapted: Storage clauses left out: CLUSTERED
-- 13:2: RC0502 adapted: Storage clauses left out: WITH (PAD_INDEX = OFF)
-- 13:2: RC0502 adapted: Storage clauses left out: ON [PRIMARY]
-- 6:1: RC0409 check: Accents do not count on the target: Name
-- 6:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 16:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 17:55: RC0614 adapted: Condition made explicit: 0 for a truth value
-- 17:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 19:66: RC0605 adapted: Hint left out: WITH ( NOLOCK )
-- 19:20: RC0608 adapted: Function spelled otherwise: ISNULL means coalesce
-- 19:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 20:19: RC0609 adapted: Said in other words: + puts texts together
-- 20:65: RC0608 adapted: Function spelled otherwise: CHARINDEX means locate
-- 20:87: RC0608 adapted: Function spelled otherwise: DATEDIFF means diff_days
-- 20:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 21:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 22:1: RC0609 adapted: Said in other words: the other tables joined to the changed one
-- 22:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 23:1: RC0609 adapted: Said in other words: a DELETE that reads other tables, with EXISTS
-- 23:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 24:39: RC0609 adapted: Said in other words: APPLY as LATERAL
-- 24:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 25:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 26:1: RC0602 by hand: No counterpart on the target: a MERGE that does not insert the columns by which rows match
-- 28:1: RC0603 by hand: Code is not translated: a procedure, which is not written for this target from this source
-- 30:1: RC0609 adapted: Said in other words: SELECT INTO as CREATE TABLE AS
-- 30:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 31:21: RC0614 adapted: Condition made explicit: 1 beside a truth value
-- 31:38: RC0627 check: Said in other words, with a difference: NULL for what is no number; one that is too great for the type is refused
-- 31:62: RC0615 adapted: Division kept: without a fraction
-- 31:1: RC0609 adapted: Said in other words: the schema dbo is left out
