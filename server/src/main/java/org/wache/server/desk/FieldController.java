package org.wache.server.desk;

import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;
import org.wache.channel.Field;
import org.wache.signal.Mode;

/** The columns of an entry, as screens ask for them. */
@RestController
class FieldController {

    /**
     * A column.
     *
     * @param key under which an entry has its text
     * @param label what stands above it, without the unit
     * @param unit of its figures; empty where there is none
     * @param choices the words that may be chosen; empty where it is typed or the rulebook has the choices
     * @param modes the modes that alone have such a setting; empty where every entry may
     */
    record FieldView(
            String key,
            String label,
            String unit,
            String hint,
            Field.Shape shape,
            List<String> choices,
            List<Mode> modes) {}

    @GetMapping("/api/fields")
    List<FieldView> fields() {
        return Field.asAsked().stream()
                .map(each -> new FieldView(
                        each.key(), each.label(), each.unit(), each.hint(), each.shape(), each.choices(), each.modes()))
                .toList();
    }
}
