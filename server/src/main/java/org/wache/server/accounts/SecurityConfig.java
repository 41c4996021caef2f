package org.wache.server.accounts;

import jakarta.servlet.DispatcherType;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.authentication.AuthenticationManager;
import org.springframework.security.authentication.ProviderNotFoundException;
import org.springframework.security.config.Customizer;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextRepository;
import org.wache.server.access.Doorkeeper;

/** Who may call what. Sessions live in the database, so that several servers can share them. */
@Configuration
class SecurityConfig {

    @Bean
    SecurityFilterChain chain(
            HttpSecurity http, SecurityContextRepository contexts, Doorkeeper doorkeeper, Refusals refusals)
            throws Exception {
        return http.authorizeHttpRequests(
                        requests -> requests.dispatcherTypeMatchers(DispatcherType.FORWARD, DispatcherType.ERROR)
                                .permitAll()
                                .anyRequest()
                                .access(doorkeeper))
                .csrf(csrf -> csrf.spa())
                .securityContext(context -> context.securityContextRepository(contexts))
                .exceptionHandling(
                        handling -> handling.authenticationEntryPoint(refusals).accessDeniedHandler(refusals))
                .headers(headers -> headers.defaultsDisabled()
                        .cacheControl(Customizer.withDefaults())) // the others are the container's
                .formLogin(form -> form.disable())
                .httpBasic(basic -> basic.disable())
                .logout(logout -> logout.disable())
                .requestCache(cache -> cache.disable())
                .build();
    }

    @Bean
    SecurityContextRepository contexts() {
        return new HttpSessionSecurityContextRepository();
    }

    @Bean
    PasswordEncoder passwordEncoder() {
        return PasswordEncoderFactories.createDelegatingPasswordEncoder();
    }

    /** Nobody signs in through the framework's own ways: {@link SessionController} does, which counts every try first. */
    @Bean
    AuthenticationManager authenticationManager() {
        return asked -> {
            throw new ProviderNotFoundException("Sign in through the application");
        };
    }
}
