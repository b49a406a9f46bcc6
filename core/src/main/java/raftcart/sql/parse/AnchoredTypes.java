package raftcart.sql.parse;

import java.util.stream.Collectors;
import raftcart.sql.TokenCursor;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.TypeName;

/** Types of variables, which may be said to be those of a column or row ("%TYPE", "%ROWTYPE", PL/SQL and PL/pgSQL). */
final class AnchoredTypes {
    private AnchoredTypes() {}

    /** The name of a type; that of a column or row is kept with its sign, as in {@code star.mag%type}. */
    static TypeName read(Parsing parsing) {
        TokenCursor cursor = parsing.cursor;
        int mark = cursor.mark();
        if (cursor.peek().isName()) {
            QualifiedName name = parsing.qualifiedName();
            if (cursor.takeSymbol("%")) {
                boolean row = cursor.takeWords("ROWTYPE");
                if (!row) {
                    cursor.expectWords("TYPE");
                }
                String text = name.parts().stream().map(Name::text).collect(Collectors.joining("."));
                return TypeName.of(text + (row ? TypeName.OF_ROW : TypeName.OF_COLUMN));
            }
        }
        cursor.reset(mark);
        return TypeNameParser.parse(cursor);
    }
}
