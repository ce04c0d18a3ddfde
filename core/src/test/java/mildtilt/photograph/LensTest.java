package mildtilt.photograph;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import mildtilt.geometry.Vector;
import org.junit.jupiter.api.Test;

class LensTest {

    @Test
    void aSightIsDrawnWhereItCameFrom() {
        Random random = new Random(2);
        for (int n = 0; n < 500; n++) {
            Lens lens = new Lens(
                    2700 + 500 * random.nextDouble(),
                    2000,
                    1500,
                    0.2 * random.nextDouble() - 0.1,
                    0.06 * random.nextDouble() - 0.03);
            Lens.Pixel at = new Lens.Pixel(4000 * random.nextDouble(), 3000 * random.nextDouble());
            assertThat(lens.drawn(lens.sight(at)).distanceTo(at)).isLessThan(1e-6);
        }
    }

    @Test
    void distortionMovesASightByItsTermsOutFromTheCentre() {
        Lens lens = new Lens(1000, 500, 400, 0.1, -0.05);
        // Half the focal length to the right: r² is 1/4, so 1 + 0.1/4 − 0.05/16 = 1.021875 times as far out.
        Lens.Pixel at = lens.drawn(new Vector(1, 0, 2));
        assertThat(at.across()).isCloseTo(500 + 500 * 1.021875, within(1e-9));
        assertThat(at.down()).isCloseTo(400, within(1e-9));
    }
}
