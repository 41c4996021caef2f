package org.wache.server.web;

import java.util.Arrays;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.http.converter.HttpMessageNotReadableException;
import tools.jackson.core.JacksonException;
import tools.jackson.core.TokenStreamLocation;
import tools.jackson.databind.exc.MismatchedInputException;

/** Why the body of a request cannot be read: the place in it, and what was expected there. */
final class UnreadableBody {

    private UnreadableBody() {}

    /** What was refused while the body was read, such as a name that is none. */
    static Optional<Refused> refused(Throwable problem) {
        for (Throwable cause = problem; cause != null; cause = cause.getCause()) {
            if (cause instanceof Refused refused) {
                return Optional.of(refused);
            }
        }
        return Optional.empty();
    }

    static String words(HttpMessageNotReadableException problem) {
        for (Throwable cause = problem; cause != null; cause = cause.getCause()) {
            if (cause instanceof MismatchedInputException mismatched
                    && !mismatched.getPath().isEmpty()) {
                return "“" + place(mismatched) + "” is not what belongs there: " + expected(mismatched.getTargetType())
                        + " is expected. Nothing was saved.";
            }
            if (cause instanceof JacksonException unreadable) {
                TokenStreamLocation at = unreadable.getLocation();
                return "The JSON cannot be read"
                        + (at == null || at.getLineNr() < 1
                                ? ""
                                : " at line " + at.getLineNr() + ", column " + at.getColumnNr())
                        + ". Nothing was saved.";
            }
        }
        return "The request needs a body in JSON. Nothing was saved.";
    }

    private static String place(MismatchedInputException problem) {
        return problem.getPath().stream()
                .map(step -> step.getPropertyName() != null ? step.getPropertyName() : "[" + step.getIndex() + "]")
                .collect(Collectors.joining("."))
                .replace(".[", "[");
    }

    private static String expected(Class<?> type) {
        if (type == null) {
            return "something else";
        }
        if (type.isEnum()) {
            return "one of "
                    + Arrays.stream(type.getEnumConstants())
                            .map(each -> EnumWords.of((Enum<?>) each))
                            .collect(Collectors.joining(", "));
        }
        if (type == String.class) {
            return "a text";
        }
        if (type == boolean.class || type == Boolean.class) {
            return "true or false";
        }
        if (Number.class.isAssignableFrom(type) || type.isPrimitive()) {
            return "a number";
        }
        return java.util.Collection.class.isAssignableFrom(type) || type.isArray() ? "an array" : "an object";
    }
}
