package kiver.server.sheet;

import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** Lets one sheet at a time be read in, so that two cannot wait for each other's rows. */
@Mapper
interface SheetLocks {

    @Select("select true from (select pg_advisory_xact_lock(4715)) as held")
    boolean lock();
}
