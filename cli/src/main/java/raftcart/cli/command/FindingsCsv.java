package raftcart.cli.command;

import com.fasterxml.jackson.databind.SequenceWriter;
import com.fasterxml.jackson.dataformat.csv.CsvMapper;
import com.fasterxml.jackson.dataformat.csv.CsvSchema;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import raftcart.error.WorkspaceException;
import raftcart.finding.Finding;
import raftcart.migration.Assessment;
import raftcart.migration.Assessment.FindingGroup;

/** Writes findings as CSV (RFC 4180), for spreadsheets. */
final class FindingsCsv {
    private static final CsvSchema SCHEMA = CsvSchema.builder()
            .addColumn("target")
            .addColumn("code")
            .addColumn("outcome")
            .addColumn("title")
            .addColumn("object")
            .addColumn("detail")
            .build()
            .withHeader();

    private FindingsCsv() {}

    static void write(List<Assessment> assessments, Path file) {
        try (SequenceWriter writer = new CsvMapper().writer(SCHEMA).writeValues(file.toFile())) {
            for (Assessment assessment : assessments) {
                for (FindingGroup group : assessment.findings()) {
                    for (Finding finding : group.findings()) {
                        writer.write(List.of(
                                assessment.target(),
                                group.code().code(),
                                group.outcome().label(),
                                group.title(),
                                finding.object(),
                                finding.detail()));
                    }
                }
            }
        } catch (IOException e) {
            throw new WorkspaceException(
                    file + " cannot be written", "Name a file in a folder that is yours to write.", e);
        }
    }
}
