package raftcart.engines.rewrite;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.sql.SQLException;
import java.util.HashMap;
import java.util.Map;
import raftcart.dialect.Languages;
import raftcart.finding.Outcome;
import raftcart.rewrite.Knowledge;
import raftcart.rewrite.StatementResult;
import raftcart.rewrite.StatementRewriter;
import raftcart.rewrite.TokenRules;

/** The tables of schema.sql on every engine, made by the tool itself, and what each dialect's queries then know of them. */
final class SampleSchema {
    private final Map<String, Knowledge> known = new HashMap<>();

    private SampleSchema() {}

    static SampleSchema createOn(SqlEngines engines) throws IOException, SQLException {
        SampleSchema schema = new SampleSchema();
        for (String engine : engines.names()) {
            schema.known.put(engine, create(engines, engine));
        }
        return schema;
    }

    static String resource(String name) throws IOException {
        try (InputStream in = SampleSchema.class.getResourceAsStream("/raftcart/engines/rewrite/" + name)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    static StatementRewriter rewriter(String from, String to, Knowledge knowledge) {
        return new StatementRewriter(
                Languages.named(from).orElseThrow(), Languages.named(to).orElseThrow(), knowledge, TokenRules.NONE);
    }

    /** A rewriter of queries in the first dialect that knows the tables. */
    StatementRewriter rewriter(String from, String to) {
        return rewriter(from, to, known.get(from));
    }

    private static Knowledge create(SqlEngines engines, String engine) throws IOException, SQLException {
        StringBuilder own = new StringBuilder();
        for (StatementResult result :
                rewriter("postgresql", engine, new Knowledge()).rewrite(resource("schema.sql"), 1, 1)) {
            assertThat(result.outcome()).as(result.text()).isNotEqualTo(Outcome.BY_HAND);
            for (String statement : result.text().split(";\n")) {
                engines.execute(engine, statement);
            }
            own.append(result.text()).append(";\n");
        }
        Knowledge knowledge = new Knowledge();
        rewriter(engine, engine, knowledge).rewrite(own.toString(), 1, 1);
        return knowledge;
    }
}
