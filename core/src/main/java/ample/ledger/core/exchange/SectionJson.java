package ample.ledger.core.exchange;

import ample.ledger.core.calendar.ClockTime;
import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.calendar.TimeRange;
import ample.ledger.core.calendar.Timing;
import ample.ledger.core.reading.SeatAccount;
import ample.ledger.core.schedule.Companion;
import ample.ledger.core.schedule.Meeting;
import ample.ledger.core.schedule.Place;
import ample.ledger.core.schedule.Section;
import java.io.IOException;
import java.io.Writer;
import java.util.Locale;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.StreamWriteFeature;
import tools.jackson.databind.json.JsonMapper;

/** Writes a list of sections as JSON, for programs; {@code openapi.json} states its form. Written as it goes, not held. */
public final class SectionJson {

    private static final JsonMapper JSON =
            JsonMapper.builder().disable(StreamWriteFeature.AUTO_CLOSE_TARGET).build();

    private SectionJson() {}

    /** @param out stays open */
    public static void write(SectionList list, Writer out) throws IOException {
        try (JsonGenerator json = JSON.createGenerator(out)) {
            json.writeStartObject();
            json.writeNumberProperty("version", SectionList.VERSION);
            json.writeStringProperty(
                    "institution", list.schedule().institution().name());
            json.writeStringProperty("term", list.schedule().term().code().text());
            json.writeStringProperty("termName", list.schedule().term().name());
            json.writeNumberProperty("edition", list.edition());
            json.writeStringProperty("postedAt", list.postedAt().toString());
            json.writeStringProperty("seatsAt", list.seatsAt().toString());
            json.writeStringProperty("asked", list.asked());
            json.writeNumberProperty("count", list.sections().size());
            json.writeArrayPropertyStart("sections");
            list.sections().forEach(line -> section(json, line));
            json.writeEndArray();
            json.writeEndObject();
        }
    }

    private static void section(JsonGenerator json, SectionList.Line line) {
        Section section = line.section();
        SeatAccount seats = line.reading().seats();
        json.writeStartObject();
        json.writeStringProperty("entry", section.entry().digits());
        json.writeStringProperty("subject", section.course().code().subject());
        json.writeStringProperty("number", section.course().code().number());
        json.writeStringProperty("course", section.course().written());
        json.writeStringProperty("section", section.code());
        json.writeStringProperty("title", section.course().title());
        json.writeNumberProperty("credits", section.course().credits());
        json.writeNumberProperty("level", section.course().level());
        json.writeStringProperty("kind", section.kind().code());
        json.writeStringProperty("campus", section.campus().code().text());
        json.writeStringProperty("delivery", section.delivery().code());
        json.writeStringProperty("language", section.language().toLanguageTag());
        json.writeBooleanProperty("freeMaterials", section.freeMaterials());
        json.writeStringProperty("span", section.span().name());
        dates(json, section.span().dates());
        json.writeStringProperty("status", line.reading().status().label());
        json.writeObjectPropertyStart("seats");
        json.writeNumberProperty("capacity", seats.capacity());
        json.writeNumberProperty("enrolled", seats.enrolled());
        json.writeNumberProperty("held", seats.heldSeats());
        json.writeNumberProperty("promised", seats.promised());
        json.writeNumberProperty("open", line.reading().open());
        json.writeNumberProperty("waiting", seats.waiting());
        json.writeNumberProperty("waitlistPlaces", seats.waitlistCapacity());
        json.writeStringProperty("pool", section.pool().code());
        json.writeEndObject();
        json.writeArrayPropertyStart("countsToward");
        section.course().requirements().forEach(json::writeString);
        json.writeEndArray();
        json.writeArrayPropertyStart("instructors");
        section.instructors().forEach(person -> json.writeString(person.name()));
        json.writeEndArray();
        json.writeArrayPropertyStart("meetings");
        section.meetings().forEach(meeting -> meeting(json, meeting));
        section.exams().forEach(exam -> meeting(json, exam));
        json.writeEndArray();
        section.companion().ifPresent(companion -> companion(json, companion));
        json.writeEndObject();
    }

    private static void meeting(JsonGenerator json, Meeting meeting) {
        json.writeStartObject();
        json.writeStringProperty("kind", meeting.kind().code());
        if (meeting.timing() instanceof Timing.Weekly weekly) {
            json.writeArrayPropertyStart("days");
            weekly.days()
                    .list()
                    .forEach(day -> json.writeString(day.name().substring(0, 3).toLowerCase(Locale.ROOT)));
            json.writeEndArray();
            json.writeNumberProperty("everyWeeks", weekly.everyWeeks());
            hours(json, weekly.hours());
            dates(json, weekly.dates());
        } else if (meeting.timing() instanceof Timing.Once once) {
            hours(json, once.hours());
            dates(json, new DateRange(once.date(), once.date()));
        } else {
            Timing.Arranged arranged = (Timing.Arranged) meeting.timing();
            json.writeNumberProperty("hoursPerWeek", arranged.hoursPerWeek());
            dates(json, arranged.dates());
        }
        json.writeStringProperty("place", meeting.place().inWords());
        if (meeting.place() instanceof Place.Room room) {
            json.writeStringProperty("building", room.building().code());
            json.writeStringProperty("room", room.room());
        }
        json.writeEndObject();
    }

    private static void hours(JsonGenerator json, TimeRange hours) {
        json.writeStringProperty("starts", ClockTime.formatForPrograms(hours.start()));
        json.writeStringProperty("ends", ClockTime.formatForPrograms(hours.end()));
    }

    private static void dates(JsonGenerator json, DateRange dates) {
        json.writeStringProperty("firstDay", dates.first().toString());
        json.writeStringProperty("lastDay", dates.last().toString());
    }

    private static void companion(JsonGenerator json, Companion companion) {
        json.writeObjectPropertyStart("companion");
        json.writeStringProperty("choice", companion.choice());
        companion.boundTo().ifPresent(lead -> json.writeStringProperty("boundTo", lead.digits()));
        json.writeEndObject();
    }
}
