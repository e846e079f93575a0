package ample.ledger.demo;

import java.util.List;

/**
 * What sets one institution apart from another: its campuses and the way it writes codes.
 *
 * @param remote code of the campus that stands for none; empty when there is no such
 * @param programmes codes of those that seats can be held for
 */
record House(List<CampusPlan> campuses, String remote, CodeStyle codes, List<String> programmes) {

    /**
     * A campus with its rooms.
     *
     * @param letter names it in section codes
     * @param buildings codes
     */
    record CampusPlan(String code, String letter, List<String> buildings) {}

    /** What a section's code says beside its kind, campus and number. */
    enum Flag {
        EVENING,
        ONLINE_TIMED,
        UNTIMED,
        MIXED,
        RESERVED
    }

    /** How section codes are written. */
    interface CodeStyle {

        /** What sections of a course are counted within. */
        String series(String kind, String campusLetter);

        String section(String series, int ordinal, List<Flag> flags);

        /** @param ordinal from 0 */
        String companion(String lead, String kind, int ordinal);
    }

    /** Halvermere's: {@code F3e}, {@code F3e-a}. */
    static final CodeStyle HALVERMERE = new CodeStyle() {
        @Override
        public String series(String kind, String campusLetter) {
            return campusLetter;
        }

        @Override
        public String section(String series, int ordinal, List<Flag> flags) {
            StringBuilder code = new StringBuilder(series).append(ordinal);
            flags.forEach(flag -> code.append("evzbr".charAt(flag.ordinal())));
            return code.toString();
        }

        @Override
        public String companion(String lead, String kind, int ordinal) {
            return lead + "-" + (char) ('a' + ordinal);
        }
    };

    /** Saltern's: {@code A.4}, {@code A.4+e}; companions are counted on in a series of their own, {@code B.41}. */
    static final CodeStyle SALTERN = new CodeStyle() {
        @Override
        public String series(String kind, String campusLetter) {
            return switch (kind) {
                case "lecture" -> "A";
                case "lab", "clinic" -> "B";
                case "studio" -> "D";
                default -> "C";
            };
        }

        @Override
        public String section(String series, int ordinal, List<Flag> flags) {
            StringBuilder code = new StringBuilder(series).append('.').append(ordinal);
            if (!flags.isEmpty()) {
                code.append('+');
                flags.forEach(flag -> code.append("eonmk".charAt(flag.ordinal())));
            }
            return code.toString();
        }

        @Override
        public String companion(String lead, String kind, int ordinal) {
            String number = lead.substring(2).replaceFirst("\\+.*", "");
            return section(series(kind, ""), Integer.parseInt(number + (ordinal + 1)), List.of());
        }
    };
}
