package raftcart.dialect.mariadb;

import raftcart.dialect.write.DdlWriter;
import raftcart.dialect.write.PartitionWriter;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.Partitioning.Method;

/** Parts of tables as MariaDB and MySQL divide them: by columns rather than by numbers ("Partitioning Types"). */
final class MariaDbPartitions extends PartitionWriter {
    MariaDbPartitions(DdlWriter ddl) {
        super(ddl);
    }

    @Override
    protected String method(Method method) {
        return switch (method) {
            case RANGE -> "RANGE COLUMNS";
            case LIST -> "LIST COLUMNS";
            case HASH -> "KEY";
        };
    }

    @Override
    protected String among(String values) {
        return "VALUES IN " + values;
    }

    @Override
    protected String rest() {
        return "DEFAULT";
    }

    @Override
    protected String value(Expr value) {
        boolean dated =
                value instanceof Expr.Literal l && (l.kind() == LiteralKind.DATE || l.kind() == LiteralKind.TIMESTAMP);
        return super.value(dated ? Expr.Literal.string(((Expr.Literal) value).text()) : value);
    }
}
