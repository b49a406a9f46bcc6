package raftcart.resource;

import com.fasterxml.jackson.core.StreamReadFeature;
import com.fasterxml.jackson.dataformat.yaml.YAMLMapper;

/** Reads YAML in which no key stands twice: the second would silently take the place of the first. */
public final class StrictYaml {
    /** Reads; fails at the second of two equal keys. */
    public static final YAMLMapper MAPPER = YAMLMapper.builder()
            .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
            .build();

    private StrictYaml() {}
}
