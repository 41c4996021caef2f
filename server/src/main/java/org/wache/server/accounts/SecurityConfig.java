package org.wache.server.accounts;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.ProviderManager;
import org.springframework.security.authentication.AuthenticationManager;
import org.springframework.security.authentication.dao.DaoAuthenticationProvider;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.core.userdetails.User;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.HttpStatusEntryPoint;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.header.writers.CrossOriginOpenerPolicyHeaderWriter.CrossOriginOpenerPolicy;
import org.springframework.security.web.header.writers.CrossOriginResourcePolicyHeaderWriter.CrossOriginResourcePolicy;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.springframework.security.web.servlet.util.matcher.PathPatternRequestMatcher;
import org.springframework.security.web.util.matcher.RequestMatcher;
import org.wache.server.access.AccessTable;
import org.wache.server.access.Right;

/** Who may call what. Sessions live in the database, so that several servers can share them. */
@Configuration
class SecurityConfig {

  private static final String CONTENT_POLICY = "default-src 'self'; img-src 'self' data:; object-src 'none'; "
      + "base-uri 'none'; frame-ancestors 'none'; form-action 'self'";

  @Bean
  SecurityFilterChain chain(HttpSecurity http, SecurityContextRepository contexts) throws Exception {
    return http
        .authorizeHttpRequests(requests -> requests
            .requestMatchers(open()).permitAll()
            .requestMatchers("/api/**").authenticated()
            .anyRequest().permitAll())
        .csrf(csrf -> csrf.spa())
        .securityContext(context -> context.securityContextRepository(contexts))
        .exceptionHandling(handling ->
            handling.authenticationEntryPoint(new HttpStatusEntryPoint(HttpStatus.UNAUTHORIZED)))
        .headers(headers -> headers
            .contentSecurityPolicy(policy -> policy.policyDirectives(CONTENT_POLICY))
            .permissionsPolicyHeader(policy -> policy.policy("camera=(), microphone=(), geolocation=(), payment=(), usb=()"))
            .crossOriginOpenerPolicy(policy -> policy.policy(CrossOriginOpenerPolicy.SAME_ORIGIN))
            .crossOriginResourcePolicy(policy -> policy.policy(CrossOriginResourcePolicy.SAME_ORIGIN))
            .referrerPolicy(policy -> policy.policy(ReferrerPolicy.SAME_ORIGIN)))
        .formLogin(form -> form.disable())
        .httpBasic(basic -> basic.disable())
        .logout(logout -> logout.disable())
        .requestCache(cache -> cache.disable())
        .build();
  }

  /** The open lines of the table of endpoints. */
  private static RequestMatcher[] open() {
    return AccessTable.SHIPPED.lines().entrySet().stream().filter(each -> each.getValue() == Right.OPEN).map(each -> each.getKey().split(" "))
        .map(each -> PathPatternRequestMatcher.withDefaults().matcher(HttpMethod.valueOf(each[0]), each[1])).toArray(RequestMatcher[]::new);
  }

  @Bean
  SecurityContextRepository contexts() {
    return new HttpSessionSecurityContextRepository();
  }

  @Bean
  PasswordEncoder passwordEncoder() {
    return PasswordEncoderFactories.createDelegatingPasswordEncoder();
  }

  @Bean
  AuthenticationManager authenticationManager(AccountStore accounts, PasswordEncoder encoder) {
    UserDetailsService users = login -> accounts.secret(login)
        .map(secret -> User.withUsername(secret.login()).password(secret.passwordHash()).build())
        .orElseThrow(() -> new UsernameNotFoundException(login));
    DaoAuthenticationProvider provider = new DaoAuthenticationProvider(users);
    provider.setPasswordEncoder(encoder);
    return new ProviderManager(provider);
  }
}
