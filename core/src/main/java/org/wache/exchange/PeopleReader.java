package org.wache.exchange;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wache.radio.Radio;
import org.wache.reach.Person;

/** The holders of a context file with the radios that each has: {@code "radios": ["model name", …]}. */
public final class PeopleReader {

    private PeopleReader() {}

    /**
     * Reads them. A radio is named as the context names it: by its unit where it has one, else by its model.
     *
     * @throws FileProblem when it is no context, or a radio is named that it does not have
     */
    public static List<Person> read(byte[] bytes) {
        ContextFile context = ContextFile.read(bytes);
        Part root = Part.root(JsonText.read(bytes), "wache-context/1", "a context");
        List<Part> holders = root.objects("holders");
        List<Person> people = new ArrayList<>();
        for (int i = 0; i < holders.size(); i++) {
            Part holder = holders.get(i);
            people.add(new Person(
                    context.holders().get(i),
                    holder.has("radios") ? Optional.of(radios(holder, context)) : all(context)));
        }
        return people;
    }

    /** Who does not say has any radio of the context; without one no radio is judged. */
    private static Optional<List<Radio>> all(ContextFile context) {
        return context.radios().isEmpty() ? Optional.empty() : Optional.of(context.radios());
    }

    private static List<Radio> radios(Part holder, ContextFile context) {
        List<Radio> radios = new ArrayList<>();
        for (String name : holder.texts("radios")) {
            radios.add(context.radios().stream()
                    .filter(radio ->
                            radio.model().name().equals(name) || radio.name().equals(name))
                    .findFirst()
                    .orElseThrow(() -> holder.problem(
                            "radios[" + radios.size() + "]",
                            "one of the models of the context: "
                                    + context.radios().stream().map(Radio::name).toList())));
        }
        return radios;
    }
}
