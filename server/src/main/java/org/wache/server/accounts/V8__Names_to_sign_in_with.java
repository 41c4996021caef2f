package org.wache.server.accounts;

import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.Statement;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import org.flywaydb.core.api.migration.BaseJavaMigration;
import org.flywaydb.core.api.migration.Context;
import org.springframework.stereotype.Component;

/** Migration 8, named as Flyway reads it: the accounts that are there get the spelling of their names that counts; two that come to the same keep their own. */
@Component
class V8__Names_to_sign_in_with extends BaseJavaMigration {

    @Override
    public void migrate(Context context) throws Exception {
        Map<Long, String> logins = new LinkedHashMap<>();
        try (Statement statement = context.getConnection().createStatement()) {
            try (ResultSet rows = statement.executeQuery("select id, login from account order by id")) {
                while (rows.next()) {
                    logins.put(rows.getLong("id"), rows.getString("login"));
                }
            }
            Set<String> taken = new HashSet<>();
            try (PreparedStatement update = context.getConnection()
                    .prepareStatement("update account set login_key = ?, login_looks = ? where id = ?")) {
                for (Map.Entry<Long, String> each : logins.entrySet()) {
                    SignInName name = SignInName.of(each.getValue());
                    String key = taken.add(name.key()) ? name.key() : each.getValue();
                    taken.add(key);
                    update.setString(1, key);
                    update.setString(2, name.looks());
                    update.setLong(3, each.getKey());
                    update.executeUpdate();
                }
            }
        }
    }
}
