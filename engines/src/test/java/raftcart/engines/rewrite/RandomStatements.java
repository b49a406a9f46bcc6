package raftcart.engines.rewrite;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Statements made at random from the forms of a grammar file: {@code what: form}, in which {what} stands for any of its forms. */
final class RandomStatements {
    private static final Pattern PLACE = Pattern.compile("\\{([a-z]+)\\}");
    private final Map<String, List<String>> forms = new HashMap<>();
    private final Random random;

    /** Forms of the given texts, chosen in an order that the seed decides. */
    RandomStatements(long seed, String... grammars) {
        random = new Random(seed);
        for (String grammar : grammars) {
            grammar.lines().filter(line -> !line.startsWith("#")).forEach(line -> {
                int colon = line.indexOf(": ");
                forms.computeIfAbsent(line.substring(0, colon), key -> new ArrayList<>())
                        .add(line.substring(colon + 2));
            });
        }
    }

    /** A query (or a change) whose expressions nest as deep as asked for, or one level more. */
    String next(String what, int depth) {
        return fill(what, depth + 1);
    }

    private String fill(String what, int depth) {
        List<String> all = forms.get(what);
        List<String> shallow = all.stream().filter(form -> !form.contains("{")).toList();
        List<String> choice = depth > 0 || shallow.isEmpty() ? all : shallow;
        Matcher place = PLACE.matcher(choice.get(random.nextInt(choice.size())));
        return place.replaceAll(found -> Matcher.quoteReplacement(fill(found.group(1), depth - 1)));
    }
}
