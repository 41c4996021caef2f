package org.wache.server;

import org.springframework.context.annotation.Configuration;
import org.springframework.web.servlet.config.annotation.ViewControllerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.wache.server.access.Pages;

/** The addresses that the web application handles itself all get its page; any other is no address. */
@Configuration
class StaticPages implements WebMvcConfigurer {

    @Override
    public void addViewControllers(ViewControllerRegistry pages) {
        Pages.PATHS.forEach(path -> pages.addViewController(path).setViewName("forward:/index.html"));
        pages.addViewController("/").setViewName("forward:/index.html");
        pages.addViewController("/card").setViewName("forward:/card.html"); // small and by itself
    }
}
