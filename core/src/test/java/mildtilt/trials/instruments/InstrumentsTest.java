package mildtilt.trials.instruments;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.net.SocketException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import mildtilt.analysis.Analysis;
import mildtilt.geometry.Side;
import mildtilt.id.Id;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.Job;
import mildtilt.job.JobPoints;
import mildtilt.job.PointId;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.survey.Reading;
import mildtilt.trials.Setup;
import mildtilt.trials.compare.Laser;
import mildtilt.trials.compare.MeasurementTask;
import mildtilt.trials.diagnose.Deviation;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** The line protocol with its stand-ins at the other end, with strangers, and with nobody. */
class InstrumentsTest {

    private static StandIn standIn(Job built) throws InstrumentException {
        return new StandIn(SimulatedVehicle.of(built, 1), 0, 2);
    }

    @Test
    void standInsMeasureTheBuiltVehicle() throws Exception {
        Job built = Deviation.GEAR_UP.apply(DemoJob.MARSH_CARRIER.job(), -5);
        try (StandIn s = standIn(built);
                Instruments i = new SocketInstruments(s.port())) {
            Setup up = Setup.RAISED.at(0, 60, 0);
            assertThat(i.put(InstrumentKind.LASER, new InstrumentPlacement.OnWheel(Side.LEFT)))
                    .isTrue();
            assertThat(i.stand(up, true)).isTrue();
            Laser.Dot truth = Laser.dot(new SteeringTrain(built), Side.LEFT, 60, true, up.wall())
                    .orElseThrow();
            double sum = 0;
            double squares = 0;
            int n = 400;
            for (int k = 0; k < n; k++) {
                InstrumentReading t = i.read(InstrumentKind.LASER);
                double off = t.values().getFirst() - truth.left();
                sum += off;
                squares += off * off;
                assertThat(Math.abs(
                                t.values().getFirst() * 2 - Math.rint(t.values().getFirst() * 2)))
                        .as("shown to half a millimetre")
                        .isLessThan(1e-9);
            }
            assertThat(sum / n).isCloseTo(0, within(0.15));
            assertThat(Math.sqrt(squares / n))
                    .as("the noise is as the instrument tells it")
                    .isCloseTo(InstrumentKind.LASER.spread(), within(0.15));
            // The rod off, the plan's own vehicle, another wheel: all are other dots.
            i.stand(up, false);
            assertThat(i.read(InstrumentKind.LASER).values().getFirst()).isNotCloseTo(truth.left(), within(2.0));
        }
    }

    /** Read twice, turned end for end, what the phone itself shows wrong falls out. */
    @Test
    void aPhoneReadTwiceGivesTheShaftsSlope() throws Exception {
        Job job = DemoJob.MARSH_CARRIER.job();
        Id from = new Id("joint-1.centre");
        Id to = new Id("joint-2.centre");
        double slope = JobPoints.position(job, new PointId.JointCentre(1))
                .minus(JobPoints.position(job, new PointId.JointCentre(0)))
                .direction()
                .downDeg();
        double worstOnce = 0;
        for (int vehicle = 0; vehicle < 12; vehicle++) {
            try (StandIn s = new StandIn(SimulatedVehicle.of(job, vehicle), 0, 2)) {
                InstrumentReading first = PhoneOnShaft.read(s.port(), PhoneOnShaft.between(job, from, to, false));
                InstrumentReading turned = PhoneOnShaft.read(s.port(), PhoneOnShaft.between(job, from, to, true));
                double once = first.values().getFirst();
                Reading.PhoneSlope both =
                        new Reading.PhoneSlope(from, once, turned.values().getFirst(), first.spread());
                assertThat(both.downDeg()).isCloseTo(slope, within(5 * both.slopeSpread()));
                worstOnce = Math.max(worstOnce, Math.abs(once - slope));
                // Measured from its other end the shaft slopes the other way.
                InstrumentReading back = PhoneOnShaft.read(s.port(), PhoneOnShaft.between(job, to, from, false));
                assertThat(back.values().getFirst()).isCloseTo(turned.values().getFirst(), within(1.5));
            }
        }
        assertThat(worstOnce).as("a phone's own fault is no small one").isGreaterThan(1);
        assertThat(PhoneOnShaft.between(job, from, new Id("hub"), false)).isPresent();
        assertThat(PhoneOnShaft.between(job, to, new Id("hub"), false)).isEmpty();
    }

    @Test
    void dialReadsOnlyItsShaft() throws Exception {
        Job job = DemoJob.MARSH_CARRIER.job();
        Id shaft = job.column().orElseThrow().shafts().getFirst().id();
        double length =
                job.column().get().start(0).distanceTo(job.column().get().end(0));
        try (StandIn s = standIn(job);
                Instruments i = new SocketInstruments(s.port())) {
            for (double along : new double[] {0, length / 2, length}) {
                i.put(InstrumentKind.DIAL, new InstrumentPlacement.OnShaft(shaft, along, 0));
                assertThat(i.read(InstrumentKind.DIAL).values()).hasSize(1);
            }
            for (double along : new double[] {-1, length + 1, 100_000}) {
                i.put(InstrumentKind.DIAL, new InstrumentPlacement.OnShaft(shaft, along, 0));
                assertThatThrownBy(() -> i.read(InstrumentKind.DIAL))
                        .isInstanceOf(InstrumentException.class)
                        .hasMessageContaining("nothing for the");
            }
        }
    }

    @Test
    void instrumentNumbersAreParsed() {
        assertThat(List.of(
                        LineText.number(-0.0), LineText.number(-0.00001), LineText.number(-1.5), LineText.number(20)))
                .containsExactly("0", "0", "-1.5", "20");
        for (String none : List.of("", "5d", "0x1p3", "NaN", "Infinity", "1e9", "1,5", "--1", "1e999")) {
            assertThat(LineText.number(none)).as(none).isEmpty();
        }
        assertThat(LineText.number("-12.50")).contains(-12.5);
    }

    /** Many callers at once, some of them cut off: the next one is still answered. */
    @Test
    void refusedCallerDoesNotBlockOthers() throws Exception {
        try (StandIn s = standIn(DemoJob.SALT_RAKE.job())) {
            List<Socket> callers = new ArrayList<>();
            for (int n = 0; n < 90; n++) {
                callers.add(new Socket(InetAddress.getLoopbackAddress(), s.port()));
            }
            for (Socket c : callers) {
                c.setSoLinger(true, 0);
                c.close();
            }
            Instant until = Instant.now().plusSeconds(10);
            boolean answered = false;
            while (!answered && Instant.now().isBefore(until)) {
                try (Instruments i = new SocketInstruments(s.port())) {
                    answered = i.read(InstrumentKind.TURN_PLATES).values().size() == 2;
                } catch (InstrumentException e) {
                    // Those before are still being let go of.
                    Thread.onSpinWait();
                }
            }
            assertThat(answered).isTrue();
        }
    }

    @Test
    void heldReadingStaysUntilReleased() throws Exception {
        try (StandIn s = standIn(DemoJob.MARSH_CARRIER.job());
                Instruments i = new SocketInstruments(s.port());
                Instruments other = new SocketInstruments(s.port())) {
            InstrumentPlacement joint = new InstrumentPlacement.OnJoint(new Id("joint-1"));
            i.put(InstrumentKind.ANGLE_FINDER, joint);
            i.hold(InstrumentKind.ANGLE_FINDER, true);
            InstrumentReading held = i.read(InstrumentKind.ANGLE_FINDER);
            assertThat(held.held()).isTrue();
            assertThat(held.values().getFirst()).isCloseTo(26.7, within(0.4));
            i.put(InstrumentKind.ANGLE_FINDER, new InstrumentPlacement.OnJoint(new Id("joint-2")));
            assertThat(i.read(InstrumentKind.ANGLE_FINDER)).isEqualTo(held);
            i.hold(InstrumentKind.ANGLE_FINDER, false);
            assertThat(i.read(InstrumentKind.ANGLE_FINDER).values().getFirst()).isCloseTo(37.4, within(0.4));
            // Another conversation has places and buttons of its own.
            assertThatThrownBy(() -> other.read(InstrumentKind.ANGLE_FINDER))
                    .isInstanceOf(InstrumentException.class)
                    .hasMessageContaining("to read there");
        }
    }

    @ParameterizedTest
    @EnumSource(DemoJob.class)
    void everyInstrumentTaskHasAnInstrument(DemoJob demo) throws Exception {
        Job plan = demo.job();
        int read = 0;
        try (StandIn s = new StandIn(SimulatedVehicle.builtTo(plan, 40 + demo.ordinal()), 0, 2);
                Instruments i = new SocketInstruments(s.port())) {
            for (MeasurementTask a : MeasurementTask.of(Analysis.of(plan), Setup.RAISED)) {
                Optional<InstrumentKind> kind = InstrumentPlacement.kind(a);
                if (kind.isPresent()) {
                    i.put(kind.get(), InstrumentPlacement.of(a, 3));
                    assertThat(i.stand(a.setup(), true)).isTrue();
                    assertThat(i.read(kind.get()).values())
                            .as(a.title(Id::text))
                            .hasSize(kind.get().figures())
                            .allMatch(Double::isFinite);
                    read++;
                }
            }
        }
        assertThat(read).isGreaterThan(10);
        // The same secret is the same vehicle, another one another.
        assertThat(SimulatedVehicle.builtTo(plan, 7).built())
                .isEqualTo(SimulatedVehicle.builtTo(plan, 7).built())
                .isNotEqualTo(SimulatedVehicle.builtTo(plan, 8).built());
    }

    @Test
    void instrumentLinesRoundTrip() {
        Random r = new Random(9);
        for (int n = 0; n < 2000; n++) {
            InstrumentKind k = InstrumentKind.values()[r.nextInt(InstrumentKind.values().length)];
            List<Double> values = r.doubles(k.figures(), -500, 500)
                    .map(v -> Math.rint(v * 1e4) / 1e4)
                    .boxed()
                    .toList();
            InstrumentReading t =
                    new InstrumentReading(k, values, Math.rint((0.01 + r.nextDouble()) * 1e4) / 1e4, r.nextBoolean());
            assertThat(InstrumentReading.parse(t.line())).contains(t);
            InstrumentPlacement m = new InstrumentPlacement.OnShaft(
                    new Id("shaft-2"), Math.rint(r.nextDouble() * 1e6) / 1e3, 45 * r.nextInt(8));
            assertThat(InstrumentPlacement.parse(m.text())).contains(m);
        }
        for (InstrumentPlacement m : List.of(
                new InstrumentPlacement.AtRim(),
                new InstrumentPlacement.UnderWheels(),
                new InstrumentPlacement.OnWheel(Side.RIGHT),
                new InstrumentPlacement.OnJoint(new Id("joint-12")))) {
            assertThat(InstrumentPlacement.parse(m.text())).contains(m);
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "value",
                "value laser mm 0.5 free 1",
                "value laser deg 0.5 free 1 2",
                "value laser mm 0 free 1 2",
                "value laser mm -1 free 1 2",
                "value laser mm 0.5 stuck 1 2",
                "value laser mm 0.5 free NaN 2",
                "value laser mm 0.5 free 1e400 2",
                "value sonar mm 0.5 free 1 2",
                "value laser mm 0.5 free 1 2 3",
                "reading laser mm 0.5 free 1 2"
            })
    void whatIsNoReadingIsNotTakenForOne(String line) {
        assertThat(InstrumentReading.parse(line)).isEmpty();
    }

    @Test
    void nonsenseIsRefusedWithoutEffect() throws Exception {
        try (StandIn s = standIn(DemoJob.SALT_RAKE.job());
                Socket socket = new Socket(InetAddress.getLoopbackAddress(), s.port())) {
            socket.setSoTimeout(3000);
            BufferedReader in =
                    new BufferedReader(new InputStreamReader(socket.getInputStream(), StandardCharsets.UTF_8));
            OutputStream out = socket.getOutputStream();
            for (String line : List.of(
                    "",
                    "hello",
                    "hello 1",
                    "read",
                    "read sonar",
                    "put laser",
                    "put laser nowhere",
                    "put laser shaft x 0 a",
                    "stand",
                    "stand 0 0 0 rod-on raised x",
                    "stand 0 0 0 rod-on flying 3000",
                    "stand 0 0 0 rod-on raised 1",
                    "stand 9e9 0 0 rod-on raised 3000",
                    "free",
                    "\u0000\u0001")) {
                out.write((line + "\n").getBytes(StandardCharsets.UTF_8));
                assertThat(in.readLine()).as(line).startsWith("no ");
            }
            out.write("read turn-plates\n".getBytes(StandardCharsets.UTF_8));
            assertThat(InstrumentReading.parse(in.readLine())).isPresent();
            // A line without end is hung up on.
            out.write("x".repeat(5000).getBytes(StandardCharsets.UTF_8));
            assertThat(in.readLine()).isNull();
        }
    }

    /** A flood without a line's end is hung up on soon, and two hundred who say nothing keep nobody out for good. */
    @Test
    void floodLeavesTheStandInsServing() throws Exception {
        try (StandIn s = standIn(DemoJob.SALT_RAKE.job())) {
            byte[] much = "x".repeat(1 << 20).getBytes(StandardCharsets.US_ASCII);
            int[] sent = {0};
            try (Socket flood = new Socket(InetAddress.getLoopbackAddress(), s.port())) {
                assertThatThrownBy(() -> {
                            for (; sent[0] < 100; sent[0]++) {
                                flood.getOutputStream().write(much);
                            }
                        })
                        .isInstanceOf(IOException.class);
            }
            List<Socket> idle = new ArrayList<>();
            for (int i = 0; i < 200; i++) {
                idle.add(new Socket(InetAddress.getLoopbackAddress(), s.port()));
            }
            int hungUp = 0;
            for (Socket one : idle.subList(StandIn.MOST_TALKING + 1, 200)) {
                one.setSoTimeout(3000);
                hungUp += one.getInputStream().read() < 0 ? 1 : 0;
            }
            assertThat(hungUp).isEqualTo(200 - StandIn.MOST_TALKING - 1);
            for (Socket one : idle) {
                one.close();
            }
            String answer = null;
            while (answer == null) {
                try (Socket next = new Socket(InetAddress.getLoopbackAddress(), s.port())) {
                    next.setSoTimeout(3000);
                    next.getOutputStream().write("hello 2\n".getBytes(StandardCharsets.US_ASCII));
                    answer = new BufferedReader(new InputStreamReader(next.getInputStream(), StandardCharsets.UTF_8))
                            .readLine();
                } catch (SocketException e) {
                    // Not all of them are gone yet.
                }
            }
            assertThat(answer).startsWith("hello 2");
        }
    }

    @Test
    void absentForeignAndSilentInstrumentsAreDistinguished() throws Exception {
        int free;
        try (ServerSocket probe = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            free = probe.getLocalPort();
        }
        assertThatThrownBy(() -> new SocketInstruments(free))
                .isInstanceOf(InstrumentException.class)
                .hasMessageContaining("No instrument answers on port " + free);
        assertThatThrownBy(() -> new SocketInstruments(-4)).isInstanceOf(InstrumentException.class);
        try (ServerSocket stranger = new ServerSocket(0, 4, InetAddress.getLoopbackAddress())) {
            Thread.ofVirtual().start(() -> {
                try (Socket a = stranger.accept()) {
                    a.getOutputStream().write("220 mail here\n".getBytes(StandardCharsets.UTF_8));
                    a.getInputStream().read();
                } catch (IOException e) {
                    // The test is over.
                }
            });
            assertThatThrownBy(() -> new SocketInstruments(stranger.getLocalPort()))
                    .isInstanceOf(InstrumentException.class)
                    .hasMessageContaining("no instrument of this protocol");
        }
        StandIn s = standIn(DemoJob.SALT_RAKE.job());
        try (Instruments i = new SocketInstruments(s.port())) {
            assertThat(i.read(InstrumentKind.TURN_PLATES).values()).hasSize(2);
            s.close();
            assertThatThrownBy(() -> i.read(InstrumentKind.TURN_PLATES))
                    .isInstanceOf(InstrumentException.class)
                    .hasMessageContaining("does not answer");
            assertThatThrownBy(() -> new StandIn(SimulatedVehicle.of(DemoJob.SALT_RAKE.job(), 1), -7, 1))
                    .isInstanceOfAny(InstrumentException.class, IllegalArgumentException.class);
        }
    }

    @Test
    void fileInstrumentReadsLastCompleteLine(@TempDir Path folder) throws Exception {
        Path file = folder.resolve("dial.txt");
        assertThatThrownBy(() -> new FileInstruments(file))
                .isInstanceOf(InstrumentException.class)
                .hasMessageContaining("no file dial.txt");
        Files.writeString(file, "# dial of the workshop\n");
        try (Instruments i = new FileInstruments(file)) {
            assertThatThrownBy(() -> i.read(InstrumentKind.DIAL))
                    .isInstanceOf(InstrumentException.class)
                    .hasMessageContaining("value dial mm 0.01 free 0");
            Files.writeString(
                    file,
                    "value dial mm 0.01 free 0.12\r\nvalue pull-scale N 3 free 40\nvalue dial mm 0.01 held 0.3",
                    StandardOpenOption.APPEND);
            assertThat(i.read(InstrumentKind.DIAL).values()).containsExactly(0.12);
            Files.writeString(file, "4\n", StandardOpenOption.APPEND);
            assertThat(i.read(InstrumentKind.DIAL).values()).containsExactly(0.34);
            assertThat(i.read(InstrumentKind.PULL_SCALE).values()).containsExactly(40.0);
            assertThat(i.put(InstrumentKind.DIAL, new InstrumentPlacement.AtRim()))
                    .isFalse();
            Files.writeString(file, "x".repeat(200_000) + "\nvalue dial mm 0.01 free 1\n", StandardOpenOption.APPEND);
            assertThat(i.read(InstrumentKind.DIAL).values()).containsExactly(1.0);
            Files.delete(file);
            assertThatThrownBy(() -> i.read(InstrumentKind.DIAL))
                    .isInstanceOf(InstrumentException.class)
                    .hasMessageContaining("can't be read");
        }
    }
}
