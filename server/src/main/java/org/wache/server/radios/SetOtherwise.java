package org.wache.server.radios;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.wache.radio.OtherSetting;
import org.wache.radio.RadioModel;
import org.wache.server.web.Json;
import org.wache.server.web.Refused;
import org.wache.signal.Span;
import tools.jackson.databind.json.JsonMapper;

/** What one radio is set to, by what tells the settings of its model apart. */
public final class SetOtherwise {

    private static final JsonMapper JSON = Json.MAPPER;

    private SetOtherwise() {}

    /** As it is stored. */
    public static Map<String, String> read(String json) {
        Map<String, String> all = new LinkedHashMap<>();
        JSON.readTree(json)
                .properties()
                .forEach(each -> all.put(each.getKey(), each.getValue().asString("")));
        return all;
    }

    /** The bands on which a radio that is set so does not transmit. */
    public static List<Span> off(Map<String, String> set, RadioModel model) {
        return model.off(set);
    }

    /** What can be set in a model; anything else is refused. */
    public static void check(Map<String, String> set, RadioModel model) {
        set.forEach((id, value) -> {
            OtherSetting setting = model.otherSettings().stream()
                    .filter(each -> each.id().equals(id))
                    .findFirst()
                    .orElseThrow(() -> new Refused(model.name() + " has no setting “" + id + "”."));
            if (!setting.takes(value)) {
                throw new Refused(
                        setting.label() + " cannot be set to “" + value + "”: it has " + setting.choices() + ".");
            }
        });
    }
}
