package raftcart.cli.command;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.engine.Engines;
import raftcart.error.PlanException;
import raftcart.plan.Endpoint;
import raftcart.plan.Secrets;
import raftcart.scripts.ScriptSource;

/** Writes the commented text of a new plan. A password in plain text never gets into it. */
final class PlanWriter {
    private final Endpoint source;
    private final Endpoint target;
    private final List<String> warnings = new ArrayList<>();

    PlanWriter(Endpoint source, Endpoint target) {
        this.source = ScriptSource.accepts(source.url())
                ? Endpoint.of(ScriptSource.of(source.url()).absoluteUrl())
                : checked(source, "RAFTCART_SOURCE_PASSWORD");
        this.target = checked(target, "RAFTCART_TARGET_PASSWORD");
    }

    /** What the user should know about the passwords that were given. */
    List<String> warnings() {
        return List.copyOf(warnings);
    }

    private Endpoint checked(Endpoint endpoint, String variable) {
        Engines.forUrl(endpoint.url());
        boolean plainOption = endpoint.password().map(p -> !p.startsWith("${")).orElse(false);
        if (plainOption) {
            throw new PlanException(
                    "a password on the command line is seen by every user of this machine",
                    "Put it into a variable and refer to it: '${env:" + variable + "}', or '${file:PATH}'.");
        }
        if (Secrets.plainPassword(endpoint.url()).isEmpty()) {
            return endpoint;
        }
        warnings.add("The password in " + endpoint.shownUrl() + " is not written down; the plan refers to the variable "
                + variable + " instead. Set it before the next command.");
        return new Endpoint(
                Secrets.withoutPassword(endpoint.url()), endpoint.user(), Optional.of("${env:" + variable + "}"));
    }

    String text() {
        try (InputStream in = PlanWriter.class.getResourceAsStream("plan-template.yaml")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .replace("@SOURCE@", endpoint(source))
                    .replace("@TARGET@", endpoint(target));
        } catch (IOException e) {
            throw new UncheckedIOException("the template of the plan cannot be read", e);
        }
    }

    private static String endpoint(Endpoint endpoint) {
        return "  url: " + quoted(endpoint.url())
                + endpoint.user().map(u -> "\n  user: " + quoted(u)).orElse("")
                + endpoint.password().map(p -> "\n  password: " + quoted(p)).orElse("");
    }

    private static String quoted(String text) {
        return "'" + text.replace("'", "''") + "'";
    }
}
