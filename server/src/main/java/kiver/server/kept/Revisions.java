package kiver.server.kept;

import org.springframework.stereotype.Component;

/** Tells whether anything has changed on which what is kept in memory rests. */
@Component
public class Revisions {

    private final RevisionMapper mapper;

    Revisions(RevisionMapper mapper) {
        this.mapper = mapper;
    }

    /** A mark that differs whenever a batch, its record, its lot, its lines or what they are made of has changed. */
    public String mark() {
        return mapper.mark();
    }
}
