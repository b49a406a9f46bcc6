package raftcart.cli.command;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonGenerator;
import java.io.IOException;
import java.io.PrintStream;
import java.io.UncheckedIOException;
import raftcart.finding.Outcome;
import raftcart.rewrite.PlacedFinding;
import raftcart.rewrite.StatementResult;
import raftcart.rewrite.Summary;

/** Writes what became of statements as one JSON document, statement by statement, so that none is kept. */
final class RewriteJson {
    private final JsonGenerator json;

    RewriteJson(PrintStream out) {
        try {
            json = new JsonFactory()
                    .createGenerator(out)
                    .disable(JsonGenerator.Feature.AUTO_CLOSE_TARGET)
                    .useDefaultPrettyPrinter();
            json.writeStartObject();
            json.writeArrayFieldStart("statements");
        } catch (IOException e) {
            throw new UncheckedIOException("the JSON cannot be written", e);
        }
    }

    void statement(String file, StatementResult result) {
        try {
            json.writeStartObject();
            json.writeStringField("file", file);
            json.writeNumberField("line", result.line());
            json.writeNumberField("column", result.column());
            json.writeStringField("outcome", result.outcome().label());
            json.writeStringField("source", result.source());
            json.writeStringField("text", result.text());
            json.writeArrayFieldStart("findings");
            for (PlacedFinding finding : result.findings()) {
                finding(finding);
            }
            json.writeEndArray();
            json.writeEndObject();
        } catch (IOException e) {
            throw new UncheckedIOException("the JSON cannot be written", e);
        }
    }

    private void finding(PlacedFinding finding) throws IOException {
        json.writeStartObject();
        json.writeStringField("code", finding.code().code());
        json.writeStringField("outcome", finding.outcome().label());
        json.writeNumberField("line", finding.line());
        json.writeNumberField("column", finding.column());
        json.writeStringField("message", finding.message());
        json.writeEndObject();
    }

    void end(Summary summary, int files) {
        try {
            json.writeEndArray();
            json.writeObjectFieldStart("summary");
            json.writeNumberField("files", files);
            json.writeNumberField("statements", summary.total());
            json.writeNumberField("asIs", summary.count(Outcome.AS_IS));
            json.writeNumberField("adapted", summary.count(Outcome.ADAPTED));
            json.writeNumberField("check", summary.count(Outcome.CHECK));
            json.writeNumberField("byHand", summary.count(Outcome.BY_HAND));
            json.writeEndObject();
            json.writeEndObject();
            json.writeRaw('\n');
            json.flush();
        } catch (IOException e) {
            throw new UncheckedIOException("the JSON cannot be written", e);
        }
    }
}
