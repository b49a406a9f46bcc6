package raftcart.engine;

import java.sql.SQLException;
import java.util.Comparator;
import java.util.List;
import java.util.ServiceLoader;
import java.util.stream.Collectors;
import raftcart.error.PlanException;
import raftcart.plan.Endpoint;
import raftcart.plan.Secrets;

/** The engines on the class path. */
public final class Engines {
    private Engines() {}

    /** All engines by title. */
    public static List<Engine> all() {
        return ServiceLoader.load(Engine.class).stream()
                .map(ServiceLoader.Provider::get)
                .sorted(Comparator.comparing(Engine::title))
                .toList();
    }

    /** The engine for a URL. */
    public static Engine forUrl(String url) {
        return all().stream()
                .filter(e -> e.accepts(url))
                .findFirst()
                .orElseThrow(() -> new PlanException(
                        "no engine knows the URL " + Secrets.mask(url),
                        "Known forms: " + all().stream().map(Engine::urlForm).collect(Collectors.joining(", "))));
    }

    /** Connects to an endpoint, looking up the secrets that it refers to in the environment. */
    public static EngineSession open(Endpoint endpoint) {
        Endpoint resolved = resolved(endpoint);
        return forUrl(resolved.url()).open(resolved);
    }

    /** Opens sessions that see the same moment of a database, see {@link Engine#openSnapshot}. */
    public static SharedSnapshot openSnapshot(Endpoint endpoint, int readers) throws SQLException {
        Endpoint resolved = resolved(endpoint);
        return forUrl(resolved.url()).openSnapshot(resolved, readers);
    }

    private static Endpoint resolved(Endpoint endpoint) {
        return new Endpoint(
                Secrets.resolve(endpoint.url(), System::getenv),
                endpoint.user().map(u -> Secrets.resolve(u, System::getenv)),
                endpoint.password().map(p -> Secrets.resolve(p, System::getenv)));
    }
}
