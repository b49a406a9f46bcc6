package raftcart.dialect;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import raftcart.catalog.Column;
import raftcart.sql.tree.TypeName;
import raftcart.type.LogicalType;
import raftcart.type.ValueChoices;

/** One table of types in front of another one, which knows what the first does not. */
final class TypesInFront implements TypeTable {
    /** What MySQL puts behind the names of numbers. */
    private static final String UNSIGNED = " unsigned";

    private final YamlTypes front;
    private final TypeTable base;

    TypesInFront(YamlTypes front, TypeTable base) {
        this.front = front;
        this.base = base;
    }

    @Override
    public LogicalType read(TypeName name) {
        return SystemTypes.read(name, front.systemSchemas(), this::known);
    }

    private LogicalType known(TypeName name) {
        if (front.reads(name.name())) {
            return front.read(name);
        }
        boolean positive =
                name.name().endsWith(UNSIGNED) && front.reads(signed(name).name());
        return positive ? front.read(signed(name)).withoutSign() : base.read(name);
    }

    private static TypeName signed(TypeName name) {
        return new TypeName(
                name.name().substring(0, name.name().length() - UNSIGNED.length()),
                name.parameters(),
                name.values(),
                name.arrays());
    }

    @Override
    public TypeChoice choose(LogicalType type, ColumnUse use) {
        return front.writes(type) ? front.choose(type, use) : base.choose(type, use);
    }

    @Override
    public LogicalType interpret(Column column, ValueChoices choices) {
        return base.interpret(column, choices);
    }

    @Override
    public List<TypeChoice.Note> remarks(Column column, ValueChoices choices) {
        return base.remarks(column, choices);
    }

    @Override
    public boolean sortsByLanguage(String collation) {
        return base.sortsByLanguage(collation);
    }

    @Override
    public boolean renews(TypeName type) {
        return base.renews(type);
    }

    @Override
    public Map<String, Integer> wholeColumns() {
        return base.wholeColumns();
    }

    @Override
    public Map<String, Integer> decimalFloats() {
        return base.decimalFloats();
    }

    @Override
    public Optional<String> exactTexts(boolean padded) {
        return front.exactTexts(padded).or(() -> base.exactTexts(padded));
    }

    @Override
    public String growingText() {
        return front.ownGrowingText().orElseGet(base::growingText);
    }

    @Override
    public String castName(LogicalType type) {
        return front.writes(type) ? front.castName(type) : base.castName(type);
    }
}
