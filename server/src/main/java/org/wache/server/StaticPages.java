package org.wache.server;

import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** The addresses that the web application handles itself all get its page. */
@Controller
class StaticPages {

  @GetMapping({"/lists", "/lists/**", "/roster", "/roster/**", "/plan", "/radios", "/radios/**", "/units/**", "/bench", "/bench/**", "/trainer", "/trainer/**", "/rulebook", "/rulebook/**", "/intake/**", "/sign-in", "/first-account"})
  String application() {
    return "forward:/index.html";
  }
}
