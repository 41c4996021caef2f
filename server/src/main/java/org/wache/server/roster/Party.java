package org.wache.server.roster;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.wache.server.papers.CarriedLicence;
import org.wache.server.papers.PartyKind;
import org.wache.server.web.OneLine;

/**
 * A person, a family or a firm of the roster.
 *
 * @param id key
 * @param version counts its changes
 * @param kind person, family or firm
 * @param name what it is called; unique in the roster
 * @param note anything else
 * @param teams names of the teams it is in
 * @param licences what it holds
 * @param notes what is odd about the licences, such as a call sign of an unusual shape; one list a licence
 */
public record Party(
        long id,
        int version,
        PartyKind kind,
        String name,
        String note,
        List<String> teams,
        List<CarriedLicence> licences,
        List<List<String>> notes) {

    /** What is said of a party when it is made or changed. */
    public record Draft(
            @NotNull PartyKind kind,
            @OneLine @NotBlank @Size(max = 120) String name,
            @NotNull @Size(max = 2000) String note,
            @NotNull @Size(max = 30) List<@NotBlank @Size(max = 80) String> teams,
            @NotNull @Size(max = 40) List<@NotNull @Valid CarriedLicence> licences) {}
}
