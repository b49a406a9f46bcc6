-- to: postgresql
CREATE TABLE dbo.Observation (Id int IDENTITY(1,1) NOT NULL, TelescopeId int NOT NULL, Started datetime2(3) NOT NULL CONSTRAINT DF_s DEFAULT (SYSUTCDATETIME()), Seeing decimal(5,2) NULL, Note nvarchar(400) NULL, Valid bit NOT NULL CONSTRAINT DF_v DEFAULT ((1)), CONSTRAINT PK_Observation PRIMARY KEY CLUSTERED (Id ASC));
GO
CREATE TABLE dbo.AuditLog (AuditId bigint IDENTITY NOT NULL PRIMARY KEY, TableName sysname NOT NULL, RowId int NOT NULL, Action char(1) NOT NULL, ChangedBy nvarchar(128) NOT NULL DEFAULT SUSER_SNAME(), ChangedAt datetime NOT NULL DEFAULT GETDATE());
GO
SET ANSI_NULLS ON
GO
SET QUOTED_IDENTIFIER ON
GO
-- =============================================
-- Author:      the observatory
-- Description: pages through observations
-- =============================================
CREATE OR ALTER PROCEDURE [dbo].[usp_Observation_Page]
    @PageNumber INT = 1,
    @PageSize   INT = 20,
    @Search     NVARCHAR(100) = N'',
    @SortDesc   BIT = 0
AS
BEGIN
    SET NOCOUNT ON;
    DECLARE @Offset INT = (@PageNumber - 1) * @PageSize;
    ;WITH Filtered AS (
        SELECT o.Id, o.TelescopeId, o.Started, o.Seeing, o.Note
        FROM dbo.Observation o WITH (NOLOCK)
        WHERE (@Search = N'' OR o.Note LIKE N'%' + @Search + N'%') AND o.Valid = 1
    )
    SELECT f.Id, f.TelescopeId, f.Started, f.Seeing, f.Note, TotalCount = (SELECT COUNT(*) FROM Filtered)
    FROM Filtered f
    ORDER BY CASE WHEN @SortDesc = 1 THEN f.Id END DESC, CASE WHEN @SortDesc = 0 THEN f.Id END ASC
    OFFSET @Offset ROWS FETCH NEXT @PageSize ROWS ONLY;
END
GO
CREATE PROCEDURE dbo.usp_Observation_Upsert
    @Id INT = NULL OUTPUT,
    @TelescopeId INT,
    @Seeing DECIMAL(5,2) = NULL,
    @Note NVARCHAR(400) = NULL
AS
SET NOCOUNT ON;
IF @TelescopeId IS NULL OR @TelescopeId <= 0
BEGIN
    RAISERROR (N'TelescopeId %d is not valid', 16, 1, @TelescopeId);
    RETURN -1;
END;
IF @Id IS NULL
    BEGIN
        INSERT INTO dbo.Observation (TelescopeId, Seeing, Note)
        VALUES (@TelescopeId, @Seeing, LTRIM(RTRIM(@Note)));
        SET @Id = CAST(SCOPE_IDENTITY() AS INT);
    END
ELSE
    UPDATE dbo.Observation
       SET TelescopeId = @TelescopeId,
           Seeing = ISNULL(@Seeing, Seeing),
           Note = NULLIF(@Note, N'')
     WHERE Id = @Id;
RETURN 0;
GO
CREATE FUNCTION dbo.fn_SeeingClass (@Seeing DECIMAL(5,2)) RETURNS VARCHAR(10)
WITH SCHEMABINDING
AS
BEGIN
    RETURN CASE WHEN @Seeing IS NULL THEN NULL WHEN @Seeing < 1.0 THEN 'excellent' WHEN @Seeing < 2.5 THEN 'fair' ELSE 'poor' END;
END;
GO
CREATE FUNCTION dbo.fn_Split (@List NVARCHAR(MAX), @Delim NCHAR(1)) RETURNS @Items TABLE (Position INT IDENTITY(1,1), Item NVARCHAR(100))
AS
BEGIN
    DECLARE @Start INT = 1, @End INT;
    SET @End = CHARINDEX(@Delim, @List);
    WHILE @Start < LEN(@List) + 1
    BEGIN
        IF @End = 0 SET @End = LEN(@List) + 1;
        INSERT INTO @Items (Item) VALUES (SUBSTRING(@List, @Start, @End - @Start));
        SET @Start = @End + 1;
        SET @End = CHARINDEX(@Delim, @List, @Start);
    END;
    RETURN;
END;
GO
CREATE FUNCTION dbo.fn_Nights (@From DATE, @To DATE) RETURNS TABLE AS RETURN
    SELECT o.TelescopeId, CAST(o.Started AS DATE) AS Night, COUNT(*) AS Observations, AVG(o.Seeing) AS Seeing
    FROM dbo.Observation o
    WHERE o.Started >= @From AND o.Started < DATEADD(DAY, 1, @To)
    GROUP BY o.TelescopeId, CAST(o.Started AS DATE);
GO
CREATE TRIGGER dbo.trg_Observation_Audit ON dbo.Observation AFTER INSERT, UPDATE, DELETE
AS
BEGIN
    SET NOCOUNT ON;
    DECLARE @Action CHAR(1) = 'I';
    IF EXISTS (SELECT 1 FROM deleted)
        SET @Action = CASE WHEN EXISTS (SELECT 1 FROM inserted) THEN 'U' ELSE 'D' END;
    INSERT INTO dbo.AuditLog (TableName, RowId, Action)
    SELECT 'Observation', COALESCE(i.Id, d.Id), @Action
    FROM inserted AS i FULL OUTER JOIN deleted AS d ON d.Id = i.Id;
END
GO
CREATE PROCEDURE dbo.usp_Cleanup @Days INT = 30, @Deleted INT OUTPUT
AS
BEGIN
    SET NOCOUNT, XACT_ABORT ON;
    DECLARE @Cutoff DATETIME = DATEADD(DAY, -@Days, GETDATE());
    DECLARE @Batch INT = 1;
    SET @Deleted = 0;
    WHILE @Batch > 0
    BEGIN
        BEGIN TRANSACTION;
        DELETE TOP (100) FROM dbo.AuditLog WHERE ChangedAt < @Cutoff;
        SET @Batch = @@ROWCOUNT;
        SET @Deleted += @Batch;
        COMMIT TRANSACTION;
    END
END
GO
CREATE PROCEDURE dbo.usp_Recalc AS
BEGIN
    SET NOCOUNT ON;
    DECLARE @TelescopeId INT, @Avg DECIMAL(5,2), @Msg VARCHAR(200);
    DECLARE cur CURSOR LOCAL STATIC READ_ONLY FORWARD_ONLY FOR
        SELECT TelescopeId, AVG(Seeing) FROM dbo.Observation GROUP BY TelescopeId;
    OPEN cur;
    WHILE 1 = 1
    BEGIN
        FETCH NEXT FROM cur INTO @TelescopeId, @Avg;
        IF @@FETCH_STATUS <> 0 BREAK;
        BEGIN TRY
            UPDATE dbo.Observation SET Note = CONCAT('avg ', @Avg) WHERE TelescopeId = @TelescopeId AND Note IS NULL;
        END TRY
        BEGIN CATCH
            SELECT @Msg = 'telescope ' + CONVERT(VARCHAR(10), @TelescopeId) + ': ' + ERROR_MESSAGE();
            PRINT @Msg;
        END CATCH
    END
    CLOSE cur;
    DEALLOCATE cur;
END
GO
CREATE PROCEDURE dbo.usp_Stats @TelescopeId INT, @Count INT OUT, @Last DATETIME2(3) OUT, @Grade CHAR(1) OUT AS
BEGIN
    SELECT @Count = COUNT(*), @Last = MAX(Started) FROM dbo.Observation WHERE TelescopeId = @TelescopeId;
    IF @Count > 100 SET @Grade = 'A'
    ELSE IF @Count BETWEEN 50 AND 100 SET @Grade = 'B'
    ELSE SET @Grade = 'C';
    IF @Last < DATEADD(YEAR, -1, SYSDATETIME()) AND NOT (@Grade = 'A') SET @Grade = 'X';
END
GO
CREATE PROCEDURE dbo.usp_Dynamic @Col sysname AS
BEGIN
    DECLARE @sql nvarchar(max) = N'SELECT ' + QUOTENAME(@Col) + N' FROM dbo.Observation';
    EXEC sp_executesql @sql;
END
GO
CREATE PROCEDURE dbo.usp_Json @Doc nvarchar(max) AS
BEGIN
    INSERT INTO dbo.Observation (TelescopeId, Note)
    SELECT TelescopeId, Note FROM OPENJSON(@Doc) WITH (TelescopeId int '$.t', Note nvarchar(400) '$.n');
    IF @@ROWCOUNT > 0 UPDATE dbo.Observation SET Valid = ~Valid WHERE Note IS NULL;
END
GO
CREATE PROCEDURE dbo.usp_Pivot AS
    SELECT TelescopeId, [1] AS Good, [0] AS Bad FROM (SELECT TelescopeId, CAST(Valid AS int) AS v, Id FROM dbo.Observation) s PIVOT (COUNT(Id) FOR v IN ([1], [0])) p;
GO
