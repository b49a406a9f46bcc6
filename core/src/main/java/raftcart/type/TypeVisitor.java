package raftcart.type;

/** Decides by the kind of a {@link LogicalType}; has no defaults, so that a new kind must be decided everywhere. */
public interface TypeVisitor<R> {
    R visitBool(LogicalType.Bool type);

    R visitInt(LogicalType.Int type);

    R visitDecimal(LogicalType.Decimal type);

    R visitFloating(LogicalType.Floating type);

    R visitChar(LogicalType.Char type);

    R visitVarchar(LogicalType.Varchar type);

    R visitText(LogicalType.Text type);

    R visitBinary(LogicalType.Binary type);

    R visitVarbinary(LogicalType.Varbinary type);

    R visitBlob(LogicalType.Blob type);

    R visitBits(LogicalType.Bits type);

    R visitDate(LogicalType.Date type);

    R visitTime(LogicalType.Time type);

    R visitDuration(LogicalType.Duration type);

    R visitTimestamp(LogicalType.Timestamp type);

    R visitYear(LogicalType.Year type);

    R visitEnumeration(LogicalType.Enumeration type);

    R visitMembers(LogicalType.Members type);

    R visitJson(LogicalType.Json type);

    R visitUuid(LogicalType.Uuid type);

    R visitAddress(LogicalType.Address type);

    R visitArray(LogicalType.Array type);

    R visitOpaque(LogicalType.Opaque type);
}
