package org.wache.server.radios;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.wache.server.accounts.Account;

/** Radios go out of the house and come back. */
@RestController
class HandingController {

    private final Handing handing;

    HandingController(Handing handing) {
        this.handing = handing;
    }

    /** Whom a radio is handed to; knowing when whoever hands it out knows what is in it, where that was not written from here. */
    record HandOut(long party, @NotNull @Size(max = 500) String note, @Schema(nullable = true) Boolean knowing) {}

    /** What is to be said when a radio comes back. */
    record HandIn(@NotNull @Size(max = 500) String note) {}

    /**
     * How it would be if somebody got a radio: on how many entries they may talk, what of it is not theirs, why they cannot have it (refused),
     * and what whoever hands it out has to know first (asks).
     */
    record Prospect(
            int talks,
            int listens,
            List<Contents.NotTheirs> notTheirs,
            @Schema(nullable = true) String refused,
            @Schema(nullable = true) String asks) {}

    @GetMapping("/api/units/{unit}/hand-out")
    Prospect prospect(Account asking, @PathVariable long unit, @RequestParam long party) {
        Handing.Prospect found = handing.prospect(asking.id(), unit, party);
        return new Prospect(
                found.inHand().talks(),
                found.inHand().listens(),
                found.inHand().notTheirs(),
                found.refused(),
                found.asks());
    }

    @PostMapping("/api/units/{unit}/hand-out")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void handOut(Account asking, @PathVariable long unit, @Valid @RequestBody HandOut to) {
        handing.out(asking.id(), unit, to.party(), to.note().strip(), Boolean.TRUE.equals(to.knowing()));
    }

    @PostMapping("/api/units/{unit}/hand-in")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void handIn(Account asking, @PathVariable long unit, @Valid @RequestBody HandIn in) {
        handing.in(asking.id(), unit, in.note().strip());
    }
}
