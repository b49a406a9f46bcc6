-- to: postgresql mysql db2
SET NOCOUNT ON
GO
IF OBJECT_ID('dbo.Star', 'U') IS NOT NULL DROP TABLE dbo.Star
GO
CREATE TABLE [dbo].[Star](
	[Id] [int] IDENTITY(1,1) NOT NULL,
	[Name] [nvarchar](80) COLLATE Latin1_General_CI_AS NOT NULL,
	[Active] [bit] NOT NULL CONSTRAINT [DF_Active] DEFAULT ((1)),
	[Seen] [datetime2](3) NULL DEFAULT (getdate()),
	[Token] [uniqueidentifier] NULL DEFAULT (newid()),
	[Total] AS ([Id]*2) PERSISTED,
 CONSTRAINT [PK_Star] PRIMARY KEY CLUSTERED ([Id] ASC) WITH (PAD_INDEX = OFF) ON [PRIMARY]
) ON [PRIMARY]
GO
INSERT INTO dbo.Star (Name) VALUES (N'Kestra')
INSERT INTO dbo.Star (Name, Active) VALUES ('Ridgel', 0)
GO
SELECT TOP 5 Name, ISNULL(Seen, GETDATE()) AS Seen FROM dbo.Star WITH (NOLOCK) WHERE Name = 'x' ORDER BY Seen DESC
SELECT Name + ' ' + CONVERT(varchar(10), Seen, 120), LEN(Name), CHARINDEX('e', Name), DATEDIFF(day, Seen, GETDATE()) FROM dbo.Star
SELECT Total = COUNT(*), [Max Seen] = MAX(Seen) FROM dbo.Star
UPDATE s SET s.Name = r.Name FROM dbo.Star s INNER JOIN dbo.Renamed r ON r.Id = s.Id WHERE r.Ok = 1
DELETE s FROM dbo.Star s JOIN dbo.Renamed r ON r.Id = s.Id
SELECT s.Name, x.Note FROM dbo.Star s CROSS APPLY (SELECT TOP 1 Note FROM dbo.Reading r WHERE r.StarId = s.Id ORDER BY r.Id) x
SELECT Name FROM dbo.Star ORDER BY Id OFFSET 10 ROWS FETCH NEXT 5 ROWS ONLY
MERGE dbo.Star AS t USING (SELECT 1 AS Id, 'n' AS Name) AS s ON t.Id = s.Id WHEN MATCHED THEN UPDATE SET Name = s.Name WHEN NOT MATCHED THEN INSERT (Name) VALUES (s.Name);
GO
CREATE PROCEDURE dbo.P @a int AS BEGIN SELECT @a; SELECT 2; END
GO
SELECT * INTO #tmp FROM dbo.Star
SELECT IIF(Active = 1, 'yes', 'no'), TRY_CAST(Name AS int), 7/2, Id % 3 FROM dbo.Star
GO
