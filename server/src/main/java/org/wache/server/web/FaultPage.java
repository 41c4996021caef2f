package org.wache.server.web;

import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Optional;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What went wrong before or behind the endpoints, such as a session that could not be read because the database is away: told as everything else is. */
@RestController
@Hidden
class FaultPage implements ErrorController {

    @RequestMapping("/error")
    ResponseEntity<ProblemDetail> tell(HttpServletRequest request) {
        Optional<Throwable> problem =
                Optional.ofNullable((Throwable) request.getAttribute(RequestDispatcher.ERROR_EXCEPTION));
        ProblemDetail told = problem.map(Fault::of).map(FaultPage::fault).orElseGet(() -> plain(request));
        return ResponseEntity.status(told.getStatus())
                .contentType(MediaType.APPLICATION_PROBLEM_JSON)
                .body(told);
    }

    private static ProblemDetail fault(Fault fault) {
        ProblemDetail told = ProblemDetail.forStatusAndDetail(fault.status(), fault.words());
        told.setTitle(fault.title());
        return told;
    }

    private static ProblemDetail plain(HttpServletRequest request) {
        Object status = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE);
        HttpStatusCode code =
                HttpStatusCode.valueOf(status instanceof Integer number ? number : HttpStatus.NOT_FOUND.value());
        String words = code.value() == HttpStatus.NOT_FOUND.value()
                ? "There is nothing at this address."
                : "The request cannot be answered as it is written. Nothing was saved.";
        return ProblemDetail.forStatusAndDetail(code, words);
    }
}
