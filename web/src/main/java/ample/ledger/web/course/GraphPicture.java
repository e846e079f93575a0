package ample.ledger.web.course;

import ample.ledger.core.requirement.CourseGraph;
import ample.ledger.core.requirement.CourseGraph.Step;
import ample.ledger.core.schedule.CourseCode;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.eclipse.elk.alg.layered.options.LayeredMetaDataProvider;
import org.eclipse.elk.alg.layered.options.LayeredOptions;
import org.eclipse.elk.core.RecursiveGraphLayoutEngine;
import org.eclipse.elk.core.data.LayoutMetaDataService;
import org.eclipse.elk.core.math.ElkPadding;
import org.eclipse.elk.core.options.CoreOptions;
import org.eclipse.elk.core.options.Direction;
import org.eclipse.elk.core.options.EdgeRouting;
import org.eclipse.elk.core.util.BasicProgressMonitor;
import org.eclipse.elk.graph.ElkBendPoint;
import org.eclipse.elk.graph.ElkEdge;
import org.eclipse.elk.graph.ElkEdgeSection;
import org.eclipse.elk.graph.ElkNode;
import org.eclipse.elk.graph.util.ElkGraphUtil;
import org.jspecify.annotations.Nullable;

/**
 * A course among what leads to it and what it leads to, in layers from left to right, laid out by the Eclipse Layout Kernel.
 * Measures are pixels.
 *
 * @param before how many more there are before it than are drawn, in words; empty for none
 * @param after the same after it
 */
public record GraphPicture(
        int width, int height, List<Box> boxes, List<Arrow> arrows, String before, String after, boolean choices) {

    /** Whether some course is marked by the student's record. */
    public boolean marked() {
        return boxes.stream().anyMatch(box -> !box.mark().equals("none"));
    }

    private static final int BOX_WIDTH = 176;
    private static final int HEIGHT_WITHOUT_TITLE = 26;
    private static final int LINE_HEIGHT = 14;

    private static final double BETWEEN_BOXES = 12;
    private static final double BETWEEN_LAYERS = 34;
    private static final double EDGE = 2;

    static {
        LayoutMetaDataService.getInstance().registerLayoutMetaDataProviders(new LayeredMetaDataProvider());
    }

    /**
     * One course.
     *
     * @param says what else there is to say of it in two words; empty for nothing
     * @param mark how far the student has come with it: done, going-on, planned, within, none
     * @param means its code as the institution's key explains it
     * @param address of its page; null where it is not posted, and for the course of the page itself
     */
    public record Box(
            int x,
            int y,
            int width,
            int height,
            String code,
            List<String> lines,
            String says,
            String mark,
            @Nullable String address,
            String label,
            String means,
            boolean middle) {}

    /**
     * One step from a course to the next.
     *
     * @param path as SVG writes it
     * @param required whether there is no way without it
     */
    public record Arrow(String path, boolean required) {}

    static GraphPicture of(CourseGraph.View view, BoxWords words) {
        ElkNode graph = ElkGraphUtil.createGraph();
        graph.setProperty(CoreOptions.ALGORITHM, LayeredOptions.ALGORITHM_ID);
        graph.setProperty(LayeredOptions.DIRECTION, Direction.RIGHT);
        graph.setProperty(LayeredOptions.EDGE_ROUTING, EdgeRouting.ORTHOGONAL);
        graph.setProperty(LayeredOptions.SPACING_NODE_NODE, BETWEEN_BOXES);
        graph.setProperty(LayeredOptions.SPACING_NODE_NODE_BETWEEN_LAYERS, BETWEEN_LAYERS);
        graph.setProperty(LayeredOptions.PADDING, new ElkPadding(EDGE));
        Map<CourseCode, ElkNode> nodes = new LinkedHashMap<>();
        Stream.of(view.before().stream(), Stream.of(view.course()), view.after().stream())
                .flatMap(codes -> codes)
                .forEach(code -> {
                    ElkNode node = ElkGraphUtil.createNode(graph);
                    node.setDimensions(
                            BOX_WIDTH,
                            HEIGHT_WITHOUT_TITLE
                                    + LINE_HEIGHT * words.lines(code).size());
                    nodes.put(code, node);
                });
        Map<Step, ElkEdge> edges = new LinkedHashMap<>();
        for (Step step : view.steps()) {
            edges.put(step, ElkGraphUtil.createSimpleEdge(nodes.get(step.from()), nodes.get(step.to())));
        }
        new RecursiveGraphLayoutEngine().layout(graph, new BasicProgressMonitor());
        List<Box> boxes = new ArrayList<>();
        nodes.forEach((code, node) -> boxes.add(box(code, node, view, words)));
        List<Arrow> arrows = new ArrayList<>();
        edges.forEach((step, edge) -> arrows.add(new Arrow(path(edge), step.required())));
        return new GraphPicture(
                (int) Math.ceil(graph.getWidth()),
                (int) Math.ceil(graph.getHeight()),
                boxes,
                arrows,
                further(view.furtherBefore(), "before it"),
                further(view.furtherAfter(), "after it"),
                arrows.stream().anyMatch(arrow -> !arrow.required()));
    }

    private static Box box(CourseCode code, ElkNode node, CourseGraph.View view, BoxWords words) {
        boolean middle = code.equals(view.course());
        String says = middle ? "this course" : words.says(code);
        String side = view.before().contains(code) ? "before it" : "after it";
        return new Box(
                (int) Math.round(node.getX()),
                (int) Math.round(node.getY()),
                (int) node.getWidth(),
                (int) node.getHeight(),
                words.code(code),
                words.lines(code),
                says,
                words.reach(code).mark(),
                middle ? null : words.address(code),
                "%s %s, %s%s"
                        .formatted(
                                words.code(code),
                                words.title(code),
                                middle ? "this course" : side,
                                middle || says.isEmpty() ? "" : ", " + says),
                words.means(code),
                middle);
    }

    private static String path(ElkEdge edge) {
        StringBuilder path = new StringBuilder();
        for (ElkEdgeSection section : edge.getSections()) {
            path.append("M").append(point(section.getStartX(), section.getStartY()));
            for (ElkBendPoint bend : section.getBendPoints()) {
                path.append("L").append(point(bend.getX(), bend.getY()));
            }
            path.append("L").append(point(section.getEndX(), section.getEndY()));
        }
        return path.toString();
    }

    private static String point(double x, double y) {
        return Math.round(x) + " " + Math.round(y);
    }

    private static String further(int courses, String side) {
        if (courses == 0) {
            return "";
        }
        return courses == 1
                ? "One more course " + side + " is not drawn."
                : courses + " more " + side + " are not drawn.";
    }
}
