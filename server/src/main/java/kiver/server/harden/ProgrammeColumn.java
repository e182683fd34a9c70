package kiver.server.harden;

import java.sql.CallableStatement;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Types;
import java.util.List;
import kiver.core.harden.Exposure;
import kiver.core.harden.HardeningProgramme;
import org.apache.ibatis.type.BaseTypeHandler;
import org.apache.ibatis.type.JdbcType;
import org.mybatis.spring.boot.autoconfigure.ConfigurationCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import tools.jackson.databind.json.JsonMapper;

/** A column in which a programme of hardening stands as JSON: a school by its code alone, one of the nursery's whole. */
final class ProgrammeColumn extends BaseTypeHandler<HardeningProgramme> {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    /** As it is stored; a school has neither name nor exposures. */
    record Stored(String code, String name, List<Exposure> exposures) {}

    /** Makes the database know them. */
    @Configuration
    static class Registered {
        @Bean
        ConfigurationCustomizer programmesInColumns() {
            return configuration ->
                    configuration.getTypeHandlerRegistry().register(HardeningProgramme.class, new ProgrammeColumn());
        }
    }

    @Override
    public void setNonNullParameter(
            PreparedStatement statement, int position, HardeningProgramme programme, JdbcType type)
            throws SQLException {
        boolean school = HardeningProgramme.SCHOOLS.contains(programme);
        Stored stored =
                new Stored(programme.code(), school ? null : programme.name(), school ? null : programme.exposures());
        statement.setObject(position, JSON.writeValueAsString(stored), Types.OTHER);
    }

    @Override
    public HardeningProgramme getNullableResult(ResultSet row, String column) throws SQLException {
        return programme(row.getString(column));
    }

    @Override
    public HardeningProgramme getNullableResult(ResultSet row, int column) throws SQLException {
        return programme(row.getString(column));
    }

    @Override
    public HardeningProgramme getNullableResult(CallableStatement statement, int column) throws SQLException {
        return programme(statement.getString(column));
    }

    private static HardeningProgramme programme(String text) {
        if (text == null) {
            return null;
        }
        Stored stored = JSON.readValue(text, Stored.class);
        return stored.exposures() == null
                ? HardeningProgramme.school(stored.code()).orElseThrow()
                : new HardeningProgramme(stored.code(), stored.name(), stored.exposures());
    }
}
