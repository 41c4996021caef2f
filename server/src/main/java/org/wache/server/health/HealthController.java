package org.wache.server.health;

import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** Asked by whoever starts the server anew or sends people to it; it tells nothing but that. */
@RestController
class HealthController {

    private final Readiness readiness;

    HealthController(Readiness readiness) {
        this.readiness = readiness;
    }

    /** @param hindrance why it is not; empty when it is */
    record Health(boolean up, String hindrance) {}

    /** Whether the process answers: if not, it is to be started anew. A database that is away is no reason for that. */
    @GetMapping("/health/live")
    Health live() {
        return new Health(true, "");
    }

    /** Whether people may be sent here: 503 while it starts or stops, or its database does not answer. */
    @GetMapping("/health/ready")
    ResponseEntity<Health> ready() {
        String hindrance = readiness.hindrance();
        return ResponseEntity.status(hindrance.isEmpty() ? HttpStatus.OK : HttpStatus.SERVICE_UNAVAILABLE)
                .body(new Health(hindrance.isEmpty(), hindrance));
    }
}
