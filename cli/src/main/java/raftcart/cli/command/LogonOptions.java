package raftcart.cli.command;

import java.util.Optional;
import picocli.CommandLine.Option;
import raftcart.plan.Endpoint;

/** User and password of both sides, where they do not stand in the URLs. */
final class LogonOptions {
    @Option(names = "--source-user", paramLabel = "NAME", description = "User on the source.")
    private String sourceUser;

    @Option(
            names = "--source-password",
            paramLabel = "REF",
            description = "Password on the source, as $${env:NAME} or $${file:PATH}.")
    private String sourcePassword;

    @Option(names = "--target-user", paramLabel = "NAME", description = "User on the target.")
    private String targetUser;

    @Option(
            names = "--target-password",
            paramLabel = "REF",
            description = "Password on the target, as $${env:NAME} or $${file:PATH}.")
    private String targetPassword;

    Endpoint source(String url) {
        return new Endpoint(url, Optional.ofNullable(sourceUser), Optional.ofNullable(sourcePassword));
    }

    Endpoint target(String url) {
        return new Endpoint(url, Optional.ofNullable(targetUser), Optional.ofNullable(targetPassword));
    }
}
