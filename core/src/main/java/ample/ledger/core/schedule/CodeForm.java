package ample.ledger.core.schedule;

/**
 * How an institution puts its codes together: "GLAC 240d F3e" with a space and a space, "31-210/B.4" with a hyphen and a
 * slash.
 *
 * @param courseJoint what is written between a subject and a number
 * @param sectionJoint what is written between a course and a section
 */
public record CodeForm(String courseJoint, String sectionJoint) {

    /** With a space in both places. */
    public static final CodeForm SPACED = new CodeForm(" ", " ");

    /** The course's code as this institution writes it. */
    public String written(CourseCode course) {
        return course.subject() + courseJoint + course.number();
    }
}
