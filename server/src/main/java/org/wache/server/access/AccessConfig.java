package org.wache.server.access;

import org.springframework.context.annotation.Configuration;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Puts the guard before everything that answers. */
@Configuration
class AccessConfig implements WebMvcConfigurer {

    private final AccessGuard guard;

    AccessConfig(AccessGuard guard) {
        this.guard = guard;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(guard);
    }
}
