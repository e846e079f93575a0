package ample.ledger.core.exchange;

/** That a calendar file is not read, since it asks for too much work. Its message goes on from "the file was not read: ". */
public final class CalendarRefusedException extends RuntimeException {

    private static final long serialVersionUID = 1L;

    CalendarRefusedException(String why) {
        super(why);
    }
}
