package mildtilt.machined;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import mildtilt.LevelColumn;
import mildtilt.analysis.Analysis;
import mildtilt.build.Metal;
import mildtilt.build.Piece;
import mildtilt.build.Piece.Groove;
import mildtilt.build.Piece.PlateHole;
import mildtilt.build.Piece.TurnedEnd;
import mildtilt.build.Piece.TurnedFit;
import mildtilt.build.ScrewThread;
import mildtilt.build.Section;
import mildtilt.build.ShaftJoin;
import mildtilt.column.ShaftProfile;
import mildtilt.findings.Fault;
import mildtilt.findings.Finding;
import mildtilt.geometry.Point;
import mildtilt.id.Id;
import mildtilt.io.jobfile.JobReader;
import mildtilt.io.jobfile.JobWriter;
import mildtilt.job.Job;
import mildtilt.obstacle.Obstacle;
import mildtilt.obstacle.Shape;
import mildtilt.report.Papers;
import mildtilt.template.PatternMark;
import mildtilt.units.LengthUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Drawings for the machinist of a level column, whose sizes can be added up on paper. */
class MachinedPartsTest {

    private static final Id BEARING = new Id("bearing-1");
    private static final Id RAIL = new Id("obstacle-1");

    /** The folding shaft in one piece: 400 between joints, 15 of it in neither fork's centre at either end: 370. */
    private static Job solid() {
        return LevelColumn.job().editColumn(c -> c.editShaft(1, s -> s.withSlide(Optional.empty())));
    }

    /** With a rail whose upper face is 100 below the column. */
    private static Job withRail() {
        Obstacle rail = Obstacle.fixed("Rail", new Shape.Box(new Point(-70, 0, 750), 600, 60, 100))
                .withId(RAIL);
        return solid().withSurroundings(solid().surroundings().withObstacles(List.of(rail)));
    }

    private static Piece.TurnedShaft shaft(TurnedEnd wheel, TurnedEnd gear) {
        return new Piece.TurnedShaft(
                Id.Kind.PIECE.first(), "Middle shaft", LevelColumn.LOWER, wheel, gear, TurnedFit.H7, true, 0.1);
    }

    private static TurnedEnd end(double length) {
        return new TurnedEnd(length, 0, Optional.empty());
    }

    private static Piece.BearingHousing housing(double outside, double wall) {
        return new Piece.BearingHousing(
                Id.Kind.PIECE.first(),
                "Housing",
                BEARING,
                42,
                13,
                new Section.Tube(outside, wall),
                20,
                3,
                8,
                24,
                1,
                8.5,
                1,
                1);
    }

    private static Piece.AdapterPlate plate(double corner, PlateHole... holes) {
        return new Piece.AdapterPlate(Id.Kind.PIECE.first(), "Plate", 100, 80, 10, corner, List.of(holes), 1, 0);
    }

    private static Piece.SteadyPost post(double standOff) {
        return new Piece.SteadyPost(
                Id.Kind.PIECE.first(),
                "Post",
                BEARING,
                RAIL,
                new ScrewThread(12, 1.75, ScrewThread.Hand.RIGHT),
                22,
                20,
                6,
                standOff,
                12,
                5);
    }

    private static MachinedParts of(Job job, Piece piece) {
        return MachinedParts.of(job.editMaking(m -> m.withPieces(List.of(piece))));
    }

    private static PartDrawing drawn(Job job, Piece piece) {
        MachinedParts parts = of(job, piece);
        assertThat(parts.open()).isEmpty();
        return parts.drawings().getFirst();
    }

    private static String refused(Job job, Piece piece) {
        MachinedParts parts = of(job, piece);
        assertThat(parts.drawings()).isEmpty();
        return parts.open().getFirst().text(LengthUnit.MM);
    }

    private static PartSize size(PartDrawing d, String name) {
        return d.sizes().stream().filter(s -> s.name().equals(name)).findFirst().orElseThrow();
    }

    private static String notes(PartDrawing d) {
        return d.notes().stream().map(n -> n.text(LengthUnit.MM)).reduce("", (a, b) -> a + " " + b);
    }

    @Test
    void aTurnedShaftHasTheColumnsSizes() {
        PartDrawing d = drawn(solid(), shaft(new TurnedEnd(30, 0, Optional.of(new Groove(12, 8, 2))), end(28)));
        assertThat(size(d, "overall length").nominal()).isCloseTo(370, within(1e-9));
        assertThat(size(d, "overall length").above()).isEqualTo(0.5);
        // The bearing is 330 from the joint's centre, and the shaft begins 15 from it.
        assertThat(size(d, "wheel end to the middle of Rod end").nominal()).isCloseTo(315, within(1e-9));
        PartSize seat = size(d, "seat of Rod end");
        assertThat(seat.nominal()).isEqualTo(20);
        assertThat(seat.most()).isEqualTo(20);
        assertThat(seat.least()).isCloseTo(20 - 0.021, within(1e-9));
        assertThat(size(d, "wheel end's groove, Ø left").nominal()).isEqualTo(16);
        assertThat(seat.text().text(LengthUnit.MM)).isEqualTo("Ø 20 h7 (0/−0.021)");
        assertThat(size(d, "overall length").text().text(LengthUnit.INCH)).isEqualTo("14.5669 ±0.0197");
        assertThat(d.count()).isEqualTo(1);
    }

    /** Flat to flat is the clocking, less the gear fork's own angle, and the wheel fork's added. */
    @ParameterizedTest
    @CsvSource({
        // clocking, wheel's pin from its flat, gear's, and what is then between the flats
        "30, 0, 0, 'stands 30.0° from the wheel end''s flat, clockwise'",
        "30, 10, 25, 'stands 15.0° from the wheel end''s flat, clockwise'",
        "100, 0, 0, 'stands 80.0° from the wheel end''s flat, against the clock'",
        "-20, 5, 0, 'stands 15.0° from the wheel end''s flat, against the clock'",
        "180, 0, 0, 'stands in line with the wheel end''s flat'"
    })
    void flatsStandAsTheForksWantThem(double clocking, double wheel, double gear, String said) {
        ShaftProfile flats = new ShaftProfile.DoubleD(20, 16);
        Job job = solid().editColumn(c ->
                c.editShaft(1, s -> s.withClockingDeg(clocking).withEnds(Optional.of(flats), Optional.of(flats))));
        PartDrawing d = drawn(
                job, shaft(new TurnedEnd(30, wheel, Optional.empty()), new TurnedEnd(30, gear, Optional.empty())));
        assertThat(notes(d)).contains(said);
    }

    @Test
    void twoSplinesAreAsGoodInManyWaysAndARoundEndInAny() {
        Job job = solid().editColumn(c -> c.editShaft(1, s -> s.withClockingDeg(7)
                .withEnds(
                        Optional.of(new ShaftProfile.Splined(18, 36)), Optional.of(new ShaftProfile.DoubleD(20, 16)))));
        // 36 teeth and 2 flats: every 10°, so that 7° is 3° short of the next.
        assertThat(notes(drawn(job, shaft(end(30), end(30)))))
                .contains("3.0° from the wheel end's tooth, against the clock", "Every 10.0°");
        assertThat(notes(drawn(solid(), shaft(end(30), end(30))))).contains("does not matter");
    }

    @Test
    void whatCantBeTurnedIsSaid() {
        assertThat(refused(LevelColumn.job(), shaft(end(30), end(30)))).contains("two halves");
        assertThat(refused(
                        solid().editMaking(m -> m.withJoin(LevelColumn.LOWER, 200, ShaftJoin.School.PLUG))
                                .editMaking(m -> m.withPieces(List.of())),
                        shaft(end(30), end(30))))
                .contains("a join is planned");
        assertThat(refused(solid(), shaft(end(20), end(30)))).contains("20.0 mm long and goes 25.0 mm into its fork");
        assertThat(refused(solid(), shaft(new TurnedEnd(40, 0, Optional.of(new Groove(24, 8, 2))), end(30))))
                .contains("only 25.0 mm of the shaft stand in the fork");
        assertThat(refused(solid(), shaft(new TurnedEnd(40, 0, Optional.of(new Groove(12, 8, 10))), end(30))))
                .contains("deeper");
        assertThat(refused(solid(), shaft(end(200), end(190)))).contains("390.0 mm", "370.0 mm");
        assertThat(refused(solid(), shaft(end(30), end(30)).withShaft(new Id("shaft-9"))))
                .contains("no such shaft any more");
    }

    /** By hand: straight, so only twist. 16 T / (π d³) √3 against the yield, T a heavy pull at the wheel's 190. */
    @Test
    void aGrooveThatIsTooDeepIsAFindingAndItsRemedyMends() {
        Job job = solid().editMaking(m ->
                m.withPieces(List.of(shaft(end(30), new TurnedEnd(30, 0, Optional.of(new Groove(12, 6, 6)))))));
        double torque = job.rules().heavyPull() * 190;
        double margin = 235 / (16 * torque / (Math.PI * Math.pow(8, 3)) * Math.sqrt(3));
        Finding said = grooves(job).getFirst();
        assertThat(said.what().measures().get(1).value()).isCloseTo(margin, within(1e-6));
        Job mended = said.remedies().getFirst().edit().apply(job);
        assertThat(grooves(mended)).isEmpty();
    }

    private static List<Finding> grooves(Job job) {
        return Analysis.of(job).findings().stream()
                .filter(f -> f.fault() == Fault.SHAFT_WEAK && f.about().startsWith("groove"))
                .toList();
    }

    /** Closing by π times what the tube is too wide. */
    @Test
    void aHousingGripsOrIsRefused() {
        PartDrawing bored = drawn(solid(), housing(52, 6));
        assertThat(size(bored, "bore for the bearing").most()).isCloseTo(42.025, within(1e-9));
        assertThat(size(bored, "bored deep, to its shoulder").nominal()).isEqualTo(13);
        assertThat(bored.count()).isEqualTo(2);
        PartDrawing wider = drawn(solid(), housing(52.6, 5));
        assertThat(size(wider, "tube's inside, as it is").nominal()).isCloseTo(42.6, within(1e-9));
        // π × 0.6 = 1.885 of a slit of 3.
        assertThat(notes(wider)).contains("the slit closes by 1.88 mm", "1.12 mm of it are left");
        assertThat(refused(solid(), housing(54, 5))).contains("has to close by 6.28 mm", "3 mm wide");
        assertThat(refused(solid(), housing(43, 6))).contains("wall");
        assertThat(refused(solid(), housing(52, 6).withLugHeight(18))).contains("20.4 mm or more");
        assertThat(drawn(solid(), housing(45, 5)).cautions()).hasSize(1);
        // Both lugs of both housings, and both tubes, are cut.
        Papers papers = Papers.of(
                Analysis.of(solid().editMaking(m -> m.withPieces(List.of(housing(52, 6))))),
                LocalDate.of(2026, 11, 30));
        assertThat(papers.cuts().plates()).singleElement().satisfies(p -> assertThat(p.count())
                .isEqualTo(4));
        assertThat(papers.cuts().lines())
                .filteredOn(l -> l.name().equals("Housing"))
                .singleElement()
                .satisfies(l -> {
                    assertThat(l.count()).isEqualTo(2);
                    assertThat(l.finished()).isEqualTo(20);
                });
    }

    @Test
    void holesStayOnThePlateAndApart() {
        PartDrawing d = drawn(withRail(), plate(10, new PlateHole(20, 20, 10), new PlateHole(50, 40, 30)));
        double area = 100 * 80 - (4 - Math.PI) * 100 - Math.PI * (25 + 225);
        assertThat(d.blanks().getFirst()).isEqualTo(new PartDrawing.Blank.Flat("Plate", 10, area, 1));
        assertThat(d.cautions()).isEmpty();
        assertThat(refused(solid(), plate(0, new PlateHole(4, 40, 10)))).contains("hole A", "runs off");
        // In the corner's curve: (5, 5) is 35.4 from its middle at (30, 30), and the corner is 30 round.
        assertThat(refused(solid(), plate(30, new PlateHole(8, 8, 2)))).contains("runs off");
        assertThat(of(solid(), plate(0, new PlateHole(8, 8, 2))).open()).isEmpty();
        assertThat(refused(solid(), plate(0, new PlateHole(30, 40, 20), new PlateHole(49, 40, 20))))
                .contains("A and B run into each other");
        assertThat(drawn(solid(), plate(0, new PlateHole(9, 40, 10))).cautions())
                .hasSize(1);
        // What is cut is on the layer a cutting table follows, and nothing else is.
        assertThat(d.at(1).inks())
                .filteredOn(m -> switch (m) {
                    case PatternMark.Path p -> p.layer() == PatternMark.Layer.CUT;
                    case PatternMark.Circle c -> c.layer() == PatternMark.Layer.CUT;
                    case PatternMark.Words _ -> false;
                })
                .hasSize(3);
    }

    /** 20 in the bearing, 100 − 22 − 40 = 38 to the tab, and 6 + 12 + 5 + 3.5 through and below it. */
    @Test
    void aPostIsAsLongAsItHasToBe() {
        PartDrawing d = drawn(withRail(), post(40));
        assertThat(size(d, "overall length").nominal()).isCloseTo(20 + 38 + 26.5, within(1e-9));
        assertThat(size(d, "surface to the bearing's middle").nominal()).isCloseTo(100, within(1e-9));
        assertThat(refused(withRail(), post(20))).contains("Raise the tab by 6.5 mm");
        assertThat(of(withRail(), post(26.5)).open()).isEmpty();
        assertThat(refused(withRail(), post(70))).contains("Lower the tab by 9.0 mm");
        assertThat(of(withRail(), post(61)).open()).isEmpty();
        assertThat(refused(withRail(), post(40).withEngaged(17))).contains("the workshop wants 18.0 mm");
        assertThat(refused(solid(), post(40))).contains("not in the way any more");
    }

    /** Every size is what is drawn: its number, and the lines it stands between. */
    @Test
    void sizesAreWhatIsDrawn() {
        Random random = new Random(24);
        int drawn = 0;
        for (int n = 0; n < 300; n++) {
            double a = 25 + 60 * random.nextDouble();
            List<Piece> pieces = List.of(
                    shaft(
                            new TurnedEnd(a, 0, Optional.of(new Groove(8 + 8 * random.nextDouble(), 6, 1.5))),
                            end(a / 2 + 20)),
                    housing(46 + 10 * random.nextDouble(), 3 + 3 * random.nextDouble()),
                    plate(10 * random.nextDouble(), new PlateHole(a, 40 * random.nextDouble(), 12)),
                    post(20 + 45 * random.nextDouble()));
            for (Piece p : pieces) {
                for (PartDrawing d : of(withRail(), p).drawings()) {
                    drawn++;
                    d.views()
                            .forEach(row -> row.forEach(v -> v.sizes().forEach(s -> {
                                assertThat(s.size().most())
                                        .isGreaterThanOrEqualTo(s.size().least());
                                switch (s) {
                                    case SizeLine.Along x ->
                                        assertThat(s.size().nominal())
                                                .as(d.name() + " " + s.size().name())
                                                .isCloseTo(Math.abs(x.x2() - x.x1()), within(1e-9));
                                    case SizeLine.Upright x ->
                                        assertThat(s.size().nominal())
                                                .isCloseTo(Math.abs(x.y2() - x.y1()), within(1e-9));
                                    case SizeLine.Pointer _ -> {}
                                }
                            })));
                    // At any scale it goes on the paper it was chosen for.
                    int scale = d.scaleFor(200, 120);
                    assertThat(PartDrawing.round(d.at(scale)).width()).isLessThanOrEqualTo(200.0 * scale);
                }
            }
        }
        assertThat(drawn).isGreaterThan(600);
    }

    /** ISO 2768-1 m and ISO 286-1, on either side of where their rows end. */
    @ParameterizedTest
    @CsvSource({
        "6, 0.1, 0.008, 0.012, 0.030",
        "6.1, 0.2, 0.009, 0.015, 0.036",
        "18, 0.2, 0.011, 0.018, 0.043",
        "18.1, 0.2, 0.013, 0.021, 0.052",
        "30.1, 0.3, 0.016, 0.025, 0.062",
        "120.1, 0.5, 0.025, 0.040, 0.100",
        "400.1, 0.8, 0.040, 0.063, 0.155"
    })
    void limitsAreThoseOfTheStandards(double mm, double general, double h6, double h7, double h9) {
        assertThat(Tolerances.general(mm)).isEqualTo(general);
        assertThat(Tolerances.below(mm, TurnedFit.H6)).isCloseTo(h6, within(1e-12));
        assertThat(Tolerances.below(mm, TurnedFit.H7)).isCloseTo(h7, within(1e-12));
        assertThat(Tolerances.below(mm, TurnedFit.H9)).isCloseTo(h9, within(1e-12));
        assertThat(Tolerances.boreAbove(mm)).isCloseTo(h7, within(1e-12));
    }

    @Test
    void theFileKeepsThem() throws Exception {
        Job job = withRail()
                .editMaking(m -> m.withPiece(shaft(new TurnedEnd(30, 5, Optional.of(new Groove(12, 8, 2))), end(28)))
                        .withPiece(housing(52, 6))
                        .withPiece(plate(5, new PlateHole(20, 20, 10)))
                        .withPiece(post(40))
                        .withPiece(new Piece.Length(
                                Id.Kind.PIECE.first(), "Sleeve", new Section.Tube(30, 4), Metal.STEEL, 40, 1, 0)));
        assertThat(JobReader.read(JobWriter.write(job)).making()).isEqualTo(job.making());
    }
}
