package org.wache.server.home;

import java.security.Principal;
import java.time.Clock;
import java.time.LocalDate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;
import org.wache.server.accounts.AccountStore;
import org.wache.server.accounts.WhoAsks;
import org.wache.server.rulebooks.Rulebooks;
import org.wache.server.web.Missing;

/** Whether something of a group is otherwise than it was: asked every few seconds by every page that is open. */
@RestController
class PulseController {

  private final JdbcClient jdbc;
  private final AccountStore accounts;
  private final WhoAsks who;
  private final Rulebooks rulebooks;
  private final Clock clock;

  PulseController(JdbcClient jdbc, AccountStore accounts, WhoAsks who, Rulebooks rulebooks, Clock clock) {
    this.jdbc = jdbc;
    this.accounts = accounts;
    this.who = who;
    this.rulebooks = rulebooks;
    this.clock = clock;
  }

  /**
   * How a group stands, as marks that are compared and never read.
   *
   * @param mark of everything
   * @param rules of what every list is held against, beside its own entries: the roster, the plan, the radios, the rulebook, the day
   */
  record Pulse(String mark, String rules) {}

  private record Marks(String mark, String rules) {}

  @GetMapping("/api/groups/{group}/pulse")
  Pulse pulse(Principal principal, @PathVariable long group) {
    if (!accounts.isMember(who.account(principal).id(), group)) {
      throw new Missing("The group");
    }
    Marks marks = jdbc.sql("""
            select md5(concat_ws(' ', club.roster_version, club.overlay_version, club.radios_version)) as rules,
              md5(concat_ws(' ', club.roster_version, club.overlay_version, club.radios_version,
                (select string_agg(id || ':' || version, ',' order by id) from channel_list where club_id = club.id),
                (select count(*) || ':' || count(ended_at) from waiver where list_id in (select id from channel_list where club_id = club.id)),
                (select count(*) || ':' || count(ended_at) from sign_off where list_id in (select id from channel_list where club_id = club.id)),
                (select count(*) || ':' || count(recalled_at) from release where club_id = club.id),
                (select count(*) || ':' || count(*) filter (where verified) from unit_load join radio_unit on radio_unit.id = unit_load.unit_id where club_id = club.id),
                (select string_agg(state || count, ',' order by state) from (select bench_job.state, count(*) from bench_job join radio_unit on radio_unit.id = bench_job.unit_id
                  where club_id = club.id group by bench_job.state) as jobs))) as mark
            from club where club.id = :club
            """).param("club", group).query(Marks.class).single();
    String everyday = " " + rulebooks.version() + " " + LocalDate.now(clock);
    return new Pulse(marks.mark() + everyday, marks.rules() + everyday);
  }
}
