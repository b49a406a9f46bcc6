package raftcart.plan;

import java.util.Objects;
import java.util.Optional;

/** A database and how to log on. {@code password} may be a reference that {@link Secrets} resolves. */
public record Endpoint(String url, Optional<String> user, Optional<String> password) {
    public Endpoint {
        Objects.requireNonNull(url, "url");
        Objects.requireNonNull(user, "user");
        Objects.requireNonNull(password, "password");
    }

    /** An endpoint that is a URL alone. */
    public static Endpoint of(String url) {
        return new Endpoint(url, Optional.empty(), Optional.empty());
    }

    /** The URL without anything secret, for messages and records. */
    public String shownUrl() {
        return Secrets.mask(url);
    }

    @Override
    public String toString() {
        return shownUrl();
    }

    /** True for a file or folder of scripts in the place of a database. */
    public boolean isScripts() {
        return url.startsWith("scripts:");
    }
}
