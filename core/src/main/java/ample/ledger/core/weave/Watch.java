package ample.ledger.core.weave;

/** Somebody who watches long work, hears how far it is, and may have it stopped. */
public interface Watch {

    /** Nobody: it is never stopped. */
    Watch NOBODY = new Watch() {
        @Override
        public boolean stopped() {
            return false;
        }

        @Override
        public void reached(double share) {
            // Nobody hears it.
        }
    };

    /** Whether the work is to end now; asked every some thousand steps. */
    boolean stopped();

    /** How much of the work is done: 0 to 1, never less than before. */
    void reached(double share);
}
