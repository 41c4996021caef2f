package org.wache.server.radios;

import java.time.OffsetDateTime;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.wache.measure.Judged;
import org.wache.measure.Measurement;
import org.wache.server.log.Logbook;
import org.wache.server.web.EnumWords;
import org.wache.server.web.Json;
import tools.jackson.databind.json.JsonMapper;

/** Measurements: only ever added to. */
@Repository
class MeasurementStore {

    private static final JsonMapper JSON = Json.MAPPER;

    private final JdbcClient jdbc;
    private final Logbook log;

    MeasurementStore(JdbcClient jdbc, Logbook log) {
        this.jdbc = jdbc;
        this.log = log;
    }

    /** A measurement as it is kept; sum is JSON. */
    record Kept(
            long id,
            Measurement.Kind kind,
            String mhz,
            String nominal,
            String measured,
            String spurMhz,
            String verdict,
            String sum,
            String message,
            String source,
            OffsetDateTime at,
            String by) {}

    private record RadioName(long club, String label) {}

    List<Kept> of(long unit) {
        return jdbc.sql(
                        """
            select measurement.id, kind, mhz, nominal, measured, spur_mhz, verdict, sum, message, source, at, account.name as by
            from measurement join account on account.id = measurement.account_id where unit_id = :unit order by measurement.id desc
            """)
                .param("unit", unit)
                .query((row, n) -> new Kept(
                        row.getLong("id"),
                        EnumWords.read(Measurement.Kind.class, row.getString("kind")),
                        row.getString("mhz"),
                        row.getString("nominal"),
                        row.getString("measured"),
                        row.getString("spur_mhz"),
                        row.getString("verdict"),
                        row.getString("sum"),
                        row.getString("message"),
                        row.getString("source"),
                        row.getObject("at", OffsetDateTime.class),
                        row.getString("by")))
                .list();
    }

    long add(long unit, long account, Measuring measuring, OffsetDateTime at) {
        MeasuredVerdict verdict = measuring
                .judged()
                .map(judged -> judged.in() ? MeasuredVerdict.IN : MeasuredVerdict.OUT)
                .orElse(MeasuredVerdict.UNJUDGED);
        String sum = JSON.writeValueAsString(measuring.judged().stream()
                .flatMap(judged -> judged.sum().lines().stream())
                .map(line -> new MeasurementController.ToleranceLine(
                        line.role(), line.sign(), line.amount(), line.unit(), line.label()))
                .toList());
        long id = jdbc.sql(
                        """
            insert into measurement (unit_id, kind, mhz, nominal, measured, spur_mhz, verdict, sum, message, source, account_id, at)
            values (:unit, :kind, :mhz, :nominal, :measured, :spur, :verdict, :sum::jsonb, :message, :source, :account, :at) returning id
            """)
                .param("unit", unit)
                .param("kind", EnumWords.of(measuring.measurement().kind()))
                .param("mhz", measuring.measurement().at().megahertz())
                .param("nominal", measuring.nominal())
                .param("measured", measuring.measured())
                .param(
                        "spur",
                        measuring
                                .measurement()
                                .spur()
                                .map(each -> each.megahertz())
                                .orElse(""))
                .param("verdict", EnumWords.of(verdict))
                .param("sum", sum)
                .param("message", measuring.message())
                .param("source", measuring.judged().map(Judged::source).orElse(""))
                .param("account", account)
                .param("at", at)
                .query(Long.class)
                .single();
        RadioName radio = jdbc.sql("select club_id as club, label from radio_unit where id = :unit")
                .param("unit", unit)
                .query(RadioName.class)
                .single();
        log.add(
                account,
                radio.club(),
                new Logbook.Deed(
                        Logbook.Kind.RADIO,
                        unit,
                        radio.label(),
                        measuring.measurement().kind().title() + " measured, "
                                + (verdict == MeasuredVerdict.UNJUDGED
                                        ? "not judged"
                                        : verdict == MeasuredVerdict.IN ? "in tolerance" : "out of tolerance"),
                        null,
                        JSON.writeValueAsString(java.util.Map.of(
                                "mhz",
                                measuring.measurement().at().megahertz(),
                                "nominal",
                                measuring.nominal(),
                                "measured",
                                measuring.measured()))));
        return id;
    }
}
