package raftcart.scripts;

import java.util.Optional;
import raftcart.catalog.ObjectName;
import raftcart.dialect.Language;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;

/** The names of a script as the engine would store them. */
final class ObjectNames {
    private final Language language;
    private Optional<String> current = Optional.empty();

    ObjectNames(Language language) {
        this.language = language;
    }

    /** Names without a schema are in this one from now on. */
    void use(Name schema) {
        current = Optional.of(stored(schema));
    }

    /** The schema that names without one mean. */
    String defaultSchema() {
        return current.orElseGet(() -> language.grammar().names().fold(language.defaultSchema()));
    }

    String stored(Name name) {
        return name.exact() ? name.text() : language.grammar().names().fold(name.text());
    }

    /** Schema and name; a database in front of the schema is left out. */
    ObjectName object(QualifiedName name) {
        int parts = name.parts().size();
        String schema = parts > 1 ? stored(name.parts().get(parts - 2)) : defaultSchema();
        return new ObjectName(schema, stored(name.last()));
    }
}
