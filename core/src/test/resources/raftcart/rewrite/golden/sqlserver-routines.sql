-- to: postgresql
CREATE TABLE dbo.telescope (telescope_id int IDENTITY PRIMARY KEY, name nvarchar(60) NOT NULL, aperture decimal(6,3), dome char(4), active bit NOT NULL DEFAULT 1);
CREATE TABLE dbo.event (event_id int IDENTITY PRIMARY KEY, noted datetime2 DEFAULT SYSDATETIME(), what nvarchar(200));
GO
CREATE FUNCTION dbo.area (@d decimal(6,3)) RETURNS decimal(12,4)
AS
BEGIN
    DECLARE @r decimal(6,3) = @d / 2;
    RETURN @r * @r * 3.1416;
END
GO
CREATE PROCEDURE dbo.add_telescope
    @name nvarchar(60),
    @aperture decimal(6,3) = NULL,
    @id int OUTPUT
AS
BEGIN
    SET NOCOUNT ON;
    SET XACT_ABORT ON;
    IF EXISTS (SELECT 1 FROM dbo.telescope WHERE name = @name)
    BEGIN
        RAISERROR('There is a telescope %s with %d', 16, 1, @name, @id);
        RETURN 1;
    END
    INSERT INTO dbo.telescope (name, aperture) VALUES (@name, @aperture);
    SET @id = SCOPE_IDENTITY();
    UPDATE dbo.telescope SET dome = 'new' WHERE telescope_id = @id;
    IF @@ROWCOUNT = 0
        PRINT 'none';
    RETURN 0;
END
GO
CREATE PROC dbo.close_all @dome char(4) AS
SET NOCOUNT ON
BEGIN TRY
    BEGIN TRANSACTION
    UPDATE dbo.telescope SET active = 0 WHERE dome = @dome
    INSERT dbo.event (what) SELECT 'closed ' + name FROM dbo.telescope WHERE dome = @dome
    COMMIT TRANSACTION
END TRY
BEGIN CATCH
    DECLARE @m nvarchar(4000) = ERROR_MESSAGE(), @s int = ERROR_SEVERITY()
    IF @@TRANCOUNT > 0
        ROLLBACK TRANSACTION
    INSERT dbo.event (what) VALUES (@m)
    RAISERROR(@m, @s, 1)
END CATCH
GO
CREATE PROCEDURE dbo.names @dome char(4), @list nvarchar(max) OUTPUT AS
BEGIN
    DECLARE @n int, @last nvarchar(60)
    SET @list = ''
    SELECT @list = @list + name + ', ' FROM dbo.telescope WHERE dome = @dome ORDER BY name
    SELECT @n = COUNT(*) FROM dbo.telescope
    SELECT @last = name FROM dbo.telescope WHERE telescope_id = @n
    SELECT @last = name FROM dbo.telescope ORDER BY name
    SELECT TOP 1 @last = name, @n = telescope_id FROM dbo.telescope ORDER BY name
    SELECT @n = 1, @last = 'x'
    SET @n += 2
    SET @n -= 2
    IF LEN(@list) > 0 SET @list = LEFT(@list, LEN(@list) - 1) ELSE SET @list = NULL
END
GO
CREATE PROCEDURE dbo.walk AS
BEGIN
    DECLARE @id int, @name nvarchar(60)
    DECLARE c CURSOR LOCAL FAST_FORWARD FOR SELECT telescope_id, name FROM dbo.telescope ORDER BY telescope_id
    OPEN c
    FETCH NEXT FROM c INTO @id, @name
    WHILE @@FETCH_STATUS = 0
    BEGIN
        IF @id = 3 BREAK
        IF @name IS NULL
        BEGIN
            FETCH NEXT FROM c INTO @id, @name
            CONTINUE
        END
        PRINT @name + ' has ' + CAST(@id AS varchar(10))
        FETCH NEXT FROM c INTO @id, @name
    END
    CLOSE c
    DEALLOCATE c
END
GO
CREATE PROCEDURE dbo.report @dome char(4) AS
    SELECT t.name, t.aperture, dbo.area(t.aperture) AS area FROM dbo.telescope t WHERE t.dome = @dome OR @dome IS NULL ORDER BY t.name
GO
CREATE FUNCTION dbo.big (@d decimal(6,3)) RETURNS TABLE AS RETURN (SELECT telescope_id, name FROM dbo.telescope WHERE aperture > @d)
GO
CREATE FUNCTION dbo.listed (@d decimal(6,3)) RETURNS @r TABLE (id int PRIMARY KEY, name nvarchar(60)) AS
BEGIN
    INSERT @r SELECT telescope_id, name FROM dbo.telescope WHERE aperture > @d
    UPDATE @r SET name = UPPER(name) WHERE id > 1
    RETURN
END
GO
CREATE TRIGGER dbo.telescope_log ON dbo.telescope AFTER INSERT, UPDATE, DELETE AS
BEGIN
    IF @@ROWCOUNT = 0 RETURN
    SET NOCOUNT ON
    INSERT INTO dbo.event (what)
    SELECT COALESCE(d.name, 'none') + ' became ' + COALESCE(i.name, 'none')
    FROM inserted i FULL OUTER JOIN deleted d ON d.telescope_id = i.telescope_id
END
GO
CREATE PROCEDURE dbo.caller AS
BEGIN
    DECLARE @id int, @rc int
    EXEC dbo.add_telescope @name = 'x', @id = @id OUTPUT
    EXEC dbo.add_telescope 'y', 2, @id OUT
    DECLARE @t TABLE (id int, note nvarchar(20))
    INSERT INTO @t VALUES (@id, 'made')
    UPDATE t SET dome = 'X' FROM dbo.telescope t JOIN @t x ON x.id = t.telescope_id
    THROW 50007, 'not so', 1
END
GO
EXEC dbo.close_all @dome = 'east';
GO
CREATE TABLE dbo.star (star_id int IDENTITY(1,1) PRIMARY KEY, name nvarchar(60) NOT NULL, mag decimal(4,2), seen datetime, flag bit, notes nvarchar(max));
CREATE TABLE dbo.log (id int IDENTITY PRIMARY KEY, star_id int, old_mag decimal(4,2), new_mag decimal(4,2), who sysname DEFAULT SUSER_SNAME());
GO
CREATE PROCEDURE dbo.purge @before datetime, @gone int = 0 OUTPUT AS
BEGIN
  SET NOCOUNT ON;
  SET @gone = 0;
  WHILE 1 = 1
  BEGIN
    DELETE TOP (2) FROM dbo.star WHERE seen < @before;
    SET @gone = @gone + @@ROWCOUNT;
    IF NOT EXISTS (SELECT * FROM dbo.star WHERE seen < @before) BREAK;
  END
END
GO
CREATE PROCEDURE dbo.top_stars @n int AS
BEGIN
  IF OBJECT_ID('tempdb..#bright') IS NOT NULL DROP TABLE #bright;
  CREATE TABLE #bright (star_id int, name nvarchar(60), place int);
  INSERT INTO #bright (star_id, name, place)
  SELECT star_id, name, ROW_NUMBER() OVER (ORDER BY mag) FROM dbo.star;
  SELECT name, place FROM #bright WHERE place <= @n ORDER BY place;
  DROP TABLE #bright;
END
GO
CREATE PROCEDURE dbo.into_temp AS
BEGIN
  DECLARE @c int;
  SELECT star_id, name INTO #t FROM dbo.star WHERE mag < 2;
  SELECT @c = COUNT(*) FROM #t;
  PRINT 'found ' + CONVERT(varchar(10), @c);
END
GO
CREATE FUNCTION dbo.kind (@mag decimal(4,2), @flag bit) RETURNS varchar(20) AS
BEGIN
  IF @flag = 1 RETURN 'flagged';
  IF @mag IS NULL
    RETURN 'unknown';
  ELSE IF @mag < 1
    RETURN 'bright';
  DECLARE @k varchar(20);
  SET @k = CASE WHEN @mag < 3 THEN 'middle' ELSE 'faint' END;
  RETURN @k;
END
GO
CREATE FUNCTION dbo.half (@n int) RETURNS int AS BEGIN RETURN @n / 2 END
GO
CREATE FUNCTION dbo.name_of (@id int) RETURNS nvarchar(60) WITH SCHEMABINDING AS
BEGIN
  RETURN (SELECT name FROM dbo.star WHERE star_id = @id);
END
GO
CREATE PROCEDURE dbo.save_star @id int OUTPUT, @name nvarchar(60), @mag decimal(4,2) = NULL AS
BEGIN
  SET NOCOUNT ON;
  BEGIN TRY
    BEGIN TRAN;
    IF @id IS NULL
    BEGIN
      INSERT dbo.star (name, mag, seen) VALUES (@name, @mag, GETDATE());
      SELECT @id = SCOPE_IDENTITY();
    END
    ELSE
    BEGIN
      UPDATE dbo.star SET name = @name, mag = ISNULL(@mag, mag) WHERE star_id = @id;
      IF @@ROWCOUNT = 0 THROW 50010, 'There is no such star', 1;
    END
    COMMIT TRAN;
  END TRY
  BEGIN CATCH
    IF XACT_STATE() <> 0 ROLLBACK TRAN;
    THROW;
  END CATCH
END
GO
CREATE PROCEDURE dbo.dyn @t sysname, @x int AS
BEGIN
  DECLARE @sql nvarchar(max), @n int;
  SET @sql = N'DELETE FROM ' + QUOTENAME(@t) + N' WHERE star_id = ' + CAST(@x AS nvarchar(10));
  EXEC (@sql);
  EXEC sp_executesql @sql;
  EXEC sp_executesql N'SELECT @c = COUNT(*) FROM dbo.star WHERE mag < @m', N'@m int, @c int OUTPUT', @m = 2, @c = @n OUTPUT;
END
GO
CREATE PROCEDURE dbo.two AS
BEGIN
  SELECT 1 AS a;
  SELECT 2 AS b;
END
GO
CREATE TRIGGER dbo.star_mag ON dbo.star AFTER UPDATE AS
BEGIN
  SET NOCOUNT ON;
  IF UPDATE(mag)
    INSERT dbo.log (star_id, old_mag, new_mag) SELECT i.star_id, d.mag, i.mag FROM inserted i JOIN deleted d ON d.star_id = i.star_id;
END
GO
CREATE TRIGGER dbo.star_guard ON dbo.star FOR DELETE AS
  IF EXISTS (SELECT * FROM deleted WHERE flag = 1)
  BEGIN
    RAISERROR('A flagged star stays', 16, 1)
    ROLLBACK TRANSACTION
    RETURN
  END
GO
CREATE TRIGGER dbo.star_each ON dbo.star AFTER INSERT AS
BEGIN
  DECLARE @id int, @mag decimal(4,2);
  SELECT @id = star_id, @mag = mag FROM inserted;
  IF @mag > 20
    RAISERROR('Too faint: %d', 16, 1, @id);
END
GO
CREATE PROCEDURE dbo.merged @name nvarchar(60), @mag decimal(4,2) AS
  MERGE dbo.star AS t USING (SELECT @name AS name, @mag AS mag) AS s ON t.name = s.name
  WHEN MATCHED THEN UPDATE SET mag = s.mag
  WHEN NOT MATCHED THEN INSERT (name, mag) VALUES (s.name, s.mag);
GO
CREATE PROCEDURE dbo.old_style @id int AS
  UPDATE dbo.star SET flag = 1 WHERE star_id = @id
  IF @@ERROR <> 0 GOTO failed
  RETURN 0
failed:
  RETURN 1
GO
CREATE PROCEDURE dbo.next_id @next int OUTPUT AS
BEGIN
  DECLARE @today datetime = GETDATE(), @later datetime, @days int;
  SELECT @next = ISNULL(MAX(star_id), 0) + 1 FROM dbo.star;
  SET @later = DATEADD(day, 7, @today);
  SET @days = DATEDIFF(day, @today, @later);
  IF @days % 2 = 1 AND @later > @today + 1 SET @next += 1;
  ;WITH n AS (SELECT name, ROW_NUMBER() OVER (PARTITION BY name ORDER BY star_id) AS r FROM dbo.star)
  DELETE FROM n WHERE r > 1;
END
GO
CREATE PROCEDURE dbo.with_output AS
BEGIN
  DECLARE @done TABLE (star_id int, name nvarchar(60));
  INSERT INTO dbo.star (name) OUTPUT inserted.star_id, inserted.name INTO @done VALUES ('x'), ('y');
  SELECT * FROM @done;
END
GO
CREATE PROCEDURE dbo.calls AS
BEGIN
  DECLARE @rc int, @n int;
  EXEC @rc = dbo.purge '2020-01-01', @n OUTPUT;
  IF @rc <> 0 PRINT 'bad';
END
GO
