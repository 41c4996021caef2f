package org.wache.server.database;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.convert.converter.Converter;
import org.springframework.core.convert.converter.ConverterFactory;
import org.springframework.core.convert.support.DefaultConversionService;
import org.springframework.jdbc.core.namedparam.NamedParameterJdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.wache.server.web.EnumWords;

/** Columns that hold the word of a constant are read as the constant; a word that is none is a fault, not a guess. */
@Configuration
class EnumColumns {

    @Bean
    JdbcClient jdbcClient(NamedParameterJdbcTemplate template) {
        DefaultConversionService conversions = new DefaultConversionService();
        conversions.removeConvertible(String.class, Enum.class);
        conversions.addConverterFactory(new Words());
        return JdbcClient.create(template, conversions);
    }

    @SuppressWarnings("rawtypes")
    private static final class Words implements ConverterFactory<String, Enum> {
        @Override
        public <E extends Enum> Converter<String, E> getConverter(Class<E> type) {
            return word -> read(type, word);
        }

        @SuppressWarnings("unchecked")
        private static <E extends Enum> E read(Class<E> type, String word) {
            return (E) EnumWords.read(type, word);
        }
    }
}
