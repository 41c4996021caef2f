package org.wache.server;

import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** The addresses that the web application handles itself all get its page. */
@Controller
class StaticPages {

    @GetMapping({
        "/lists",
        "/lists/**",
        "/roster",
        "/roster/**",
        "/plan",
        "/radios",
        "/radios/**",
        "/units/**",
        "/bench",
        "/bench/**",
        "/trainer",
        "/trainer/**",
        "/rulebook",
        "/rulebook/**",
        "/intake/**",
        "/sign-in",
        "/first-account",
        "/invitation",
        "/password",
        "/releases",
        "/releases/**",
        "/people",
        "/installation",
        "/installation/**",
        "/stations",
        "/account",
        "/log"
    })
    String application() {
        return "forward:/index.html";
    }

    /** The page of a channel card, small and by itself. */
    @GetMapping("/card")
    String card() {
        return "forward:/card.html";
    }
}
