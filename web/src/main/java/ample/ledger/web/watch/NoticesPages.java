package ample.ledger.web.watch;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.plan.Attendance;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.core.watch.Tell;
import ample.ledger.core.watch.Watch;
import ample.ledger.core.watch.Watched;
import ample.ledger.store.Notices.Notice;
import ample.ledger.web.guest.Kept;
import ample.ledger.web.guest.LetterChoice;
import ample.ledger.web.term.Addresses;
import ample.ledger.web.visit.Visit;
import ample.ledger.web.watch.NoticesPage.Group;
import ample.ledger.web.watch.NoticesPage.LetterAnswer;
import ample.ledger.web.watch.NoticesPage.LetterQuestion;
import ample.ledger.web.watch.NoticesPage.Told;
import ample.ledger.web.watch.NoticesPage.WatchLine;
import ample.ledger.web.words.Words;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** Makes the page of a student's notices. */
final class NoticesPages {

    private final Visit visit;
    private final ZoneId zone;

    /** @param zone by whose clock moments are told */
    NoticesPages(Visit visit, ZoneId zone) {
        this.visit = visit;
        this.zone = zone;
    }

    /** Of a guest, who cannot be told anything. */
    static NoticesPage ofNobody(String back) {
        return new NoticesPage(back, false, "", 0, List.of(), List.of(), List.of(), "");
    }

    /**
     * @param notices the latest first
     * @param feed the private address of their feed; empty for none
     */
    NoticesPage page(List<Notice> notices, String feed, String back) {
        long unseen = notices.stream().filter(notice -> !notice.isSeen()).count();
        return new NoticesPage(
                back,
                true,
                unseen == 0 ? "" : Words.count((int) unseen, "new notice"),
                notices.isEmpty() ? 0 : notices.get(0).id(),
                groups(notices),
                visit.kept().watches().stream()
                        .flatMap(watch -> line(watch).stream())
                        .toList(),
                letters(visit.kept().letters()),
                feed);
    }

    /** Those with something new first, each by its latest notice. */
    private List<Group> groups(List<Notice> notices) {
        Map<String, List<Notice>> byThing = new LinkedHashMap<>();
        for (Notice notice : notices) {
            byThing.computeIfAbsent(thing(notice), absent -> new ArrayList<>()).add(notice);
        }
        List<Group> fresh = new ArrayList<>();
        List<Group> seen = new ArrayList<>();
        byThing.values().forEach(some -> {
            boolean news = some.stream().anyMatch(notice -> !notice.isSeen());
            (news ? fresh : seen).add(group(some));
        });
        fresh.addAll(seen);
        return fresh;
    }

    private static String thing(Notice notice) {
        return notice.about().isEmpty() ? notice.kind() : notice.term() + " " + notice.about();
    }

    private Group group(List<Notice> some) {
        Notice first = some.get(0);
        Optional<Attendance> section = section(first);
        String label = section.map(attendance ->
                        attendance + " " + attendance.section().course().title())
                .orElseGet(() -> label(first));
        return new Group(
                label,
                section.map(attendance -> new Addresses(attendance.term().code())
                                .sheet(attendance.section().entry(), Brief.EVERYTHING))
                        .orElse(""),
                some.stream().map(this::told).toList());
    }

    private Optional<Attendance> section(Notice notice) {
        return notice.term().isEmpty()
                ? Optional.empty()
                : EntryNumber.parse(notice.about())
                        .flatMap(entry -> visit.posted().find(new TermCode(notice.term()), entry));
    }

    private static String label(Notice notice) {
        return switch (kind(notice)) {
            case FITS -> "Your brief " + Words.quoted(notice.about());
            case HOLD -> "Holds";
            case OPENING -> "When you may register";
            case DEADLINE -> "Deadlines";
            case ROUND -> "Wish rounds";
            case CHANGES, SEATS, OFFER -> "Entry number " + notice.about();
        };
    }

    private static Kind kind(Notice notice) {
        return Kind.valueOf(notice.kind().toUpperCase(Locale.ROOT));
    }

    private Told told(Notice notice) {
        return new Told(
                notice.id(),
                NoticeContent.read(notice.content()),
                Words.moment(notice.madeAt().atZone(zone)),
                notice.isSeen(),
                notice.past().filter(past -> !past.isAfter(visit.instant())).isPresent());
    }

    /** Of what is posted no longer there is nothing to say. */
    private Optional<WatchLine> line(Watch watch) {
        TermCode term = watch.about().term();
        Addresses addresses = new Addresses(term);
        if (watch.about() instanceof Watched.OfSection one) {
            return visit.posted()
                    .find(term, one.entry())
                    .map(attendance -> new WatchLine(
                            attendance + " " + attendance.section().course().title(),
                            addresses.sheet(one.entry(), Brief.EVERYTHING),
                            what(watch),
                            term.text(),
                            one.entry().digits(),
                            "",
                            ""));
        }
        if (watch.about() instanceof Watched.OfCourse one) {
            return visit.posted()
                    .schedule(term)
                    .flatMap(schedule -> schedule.course(one.course()))
                    .map(course -> new WatchLine(
                            course.written() + " " + course.title() + ", all sections",
                            addresses.course(one.course(), Brief.EVERYTHING),
                            what(watch),
                            term.text(),
                            "",
                            one.course().toString(),
                            ""));
        }
        String name = ((Watched.OfBrief) watch.about()).name();
        return visit.kept().briefs().stream()
                .filter(brief -> brief.name().equals(name))
                .map(Kept.SavedBrief::address)
                .findFirst()
                .map(address -> new WatchLine(
                        "Your brief " + Words.quoted(name), address, what(watch), term.text(), "", "", name));
    }

    private static String what(Watch watch) {
        return "Tells you when "
                + watch.tells().stream()
                        .sorted()
                        .map(tell -> tell == Tell.SEAT && watch.seats() > 1
                                ? "at least " + watch.seats() + " seats open"
                                : WatchForm.label(tell))
                        .collect(Collectors.joining(", or "));
    }

    private static List<LetterQuestion> letters(LetterChoice choice) {
        return Arrays.stream(LetterChoice.NoticeKind.values())
                .map(kind -> new LetterQuestion(
                        kind.name().toLowerCase(Locale.ROOT),
                        switch (kind) {
                            case SEATS -> "Seats that open, and offers";
                            case CHANGES -> "What a new edition changes";
                            case DATES -> "Openings, deadlines and holds";
                        },
                        Arrays.stream(LetterChoice.Pace.values())
                                .map(pace -> new LetterAnswer(
                                        pace.name().toLowerCase(Locale.ROOT),
                                        switch (pace) {
                                            case AT_ONCE -> "at once";
                                            case DAILY -> "once a day";
                                            case NEVER -> "never";
                                        },
                                        choice.pace(kind) == pace))
                                .toList()))
                .toList();
    }
}
