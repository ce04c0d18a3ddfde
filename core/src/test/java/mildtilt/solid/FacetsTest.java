package mildtilt.solid;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import org.junit.jupiter.api.Test;

/** What is drawn is closed and the right way out: its volume by the corners' order is that of the body. */
class FacetsTest {

    private static final int ROUND = 60;
    private static final Point FROM = new Point(10, -20, 30);
    private static final Point TO = new Point(110, 40, 80);

    /** Of a closed skin by the divergence theorem; negative if its triangles are turned inward. */
    private static double volume(Facets f) {
        float[] p = f.points();
        int[] t = f.triangles();
        double sum = 0;
        for (int i = 0; i < t.length; i += 3) {
            Vector a = at(p, t[i]);
            sum += a.dot(at(p, t[i + 1]).cross(at(p, t[i + 2]))) / 6;
        }
        return sum;
    }

    private static Vector at(float[] p, int corner) {
        return new Vector(p[3 * corner], p[3 * corner + 1], p[3 * corner + 2]);
    }

    private static Facets of(Convex c) {
        Facets f = new Facets();
        f.add(c, _ -> ROUND);
        return f;
    }

    /** A round section with so many flats is smaller than the circle by this. */
    private static double section(double radius) {
        return ROUND * radius * radius * Math.sin(2 * Math.PI / ROUND) / 2;
    }

    @Test
    void volumesAreThoseOfTheBodies() {
        double length = FROM.distanceTo(TO);
        assertThat(volume(of(Convex.cylinder(FROM, TO, 12, 0)))).isCloseTo(section(12) * length, within(1.0));
        assertThat(volume(of(Convex.sphere(FROM, 20))) / (4.0 / 3 * Math.PI * 8000))
                .isCloseTo(1, within(0.01));
        Convex box = Convex.box(FROM, new Vector(30, 0, 0), new Vector(0, 20, 0), new Vector(0, 0, 10));
        assertThat(volume(of(box))).isCloseTo(8.0 * 30 * 20 * 10, within(1.0));
        Facets ring = new Facets();
        ring.ring(new Solid.Ring(FROM, new Vector(0, 1, 0), 50, 60, 90), ROUND);
        assertThat(volume(ring)).isCloseTo(100 * (section(90) - section(60)), within(20.0));
    }

    @Test
    void everyNormalPointsOutOfItsTriangle() {
        for (Convex c : List.of(
                Convex.cylinder(FROM, TO, 12, 0),
                Convex.box(FROM, new Vector(30, 0, 0), new Vector(0, 20, 0), new Vector(0, 0, 10)))) {
            Facets f = of(c);
            float[] p = f.points();
            float[] n = f.normals();
            int[] t = f.triangles();
            for (int i = 0; i < t.length; i += 3) {
                Vector out =
                        at(p, t[i + 1]).minus(at(p, t[i])).cross(at(p, t[i + 2]).minus(at(p, t[i])));
                for (int k = 0; k < 3; k++) {
                    assertThat(out.dot(at(n, t[i + k]))).isPositive();
                }
            }
        }
    }
}
