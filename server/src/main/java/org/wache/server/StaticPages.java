package org.wache.server;

import java.time.Duration;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.CacheControl;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.ViewControllerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.wache.server.access.Pages;

/** The addresses that the web application handles itself all get its page; any other is no address. */
@Configuration
class StaticPages implements WebMvcConfigurer {

    /** What is built has a name of its content, so that a browser never asks for it twice. */
    @Override
    public void addResourceHandlers(ResourceHandlerRegistry files) {
        files.addResourceHandler("/assets/**")
                .addResourceLocations("classpath:/static/assets/")
                .setCacheControl(
                        CacheControl.maxAge(Duration.ofDays(365)).cachePublic().immutable());
    }

    @Override
    public void addViewControllers(ViewControllerRegistry pages) {
        Pages.PATHS.forEach(path -> pages.addViewController(path).setViewName("forward:/index.html"));
        pages.addViewController("/").setViewName("forward:/index.html");
        pages.addViewController("/card").setViewName("forward:/card.html"); // small and by itself
    }
}
