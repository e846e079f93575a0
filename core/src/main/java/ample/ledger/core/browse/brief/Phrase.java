package ample.ledger.core.browse.brief;

/**
 * A clause in words, as in "at" and "Tidewall or Upper Fell".
 *
 * @param lead what leads to it in a list; may be empty
 */
public record Phrase(String lead, String text) {

    /** The clause with what leads to it: "at Tidewall or Upper Fell". */
    public String whole() {
        return lead.isEmpty() ? text : lead + " " + text;
    }

    /** The clause standing alone, with a capital: "At Tidewall or Upper Fell". */
    public String standingAlone() {
        String whole = whole();
        return Character.toUpperCase(whole.charAt(0)) + whole.substring(1);
    }

    /** The clause denied: "not at Tidewall or Upper Fell". */
    Phrase denied() {
        return lead.isEmpty() ? new Phrase("", "not " + text) : new Phrase("not " + lead, text);
    }
}
