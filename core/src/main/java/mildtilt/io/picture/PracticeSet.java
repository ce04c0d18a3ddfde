package mildtilt.io.picture;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.MemoryCacheImageOutputStream;
import mildtilt.column.Column;
import mildtilt.geometry.Frame;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.id.Id;
import mildtilt.io.SafeFiles;
import mildtilt.job.Job;
import mildtilt.job.JobPoints;
import mildtilt.job.Names;
import mildtilt.job.PointId;
import mildtilt.photograph.GreyPicture;
import mildtilt.photograph.Lens;
import mildtilt.photograph.PracticeScene;
import mildtilt.photograph.PracticeScene.Thing;
import mildtilt.photograph.SeenRectangle.Standing;
import mildtilt.photograph.TargetSheet;
import mildtilt.suspension.CornerPoint;

/**
 * Photographs to practise on, drawn of a job's column: bars for its shafts, a ball at its wheel's hub, at every joint,
 * at the gear and its input and at the left steering arm's end, the printed sheet on the floor, and marks stuck about
 * it; with the truth of every point beside them. One more picture is taken from the left, of the column and a board
 * that stands upright in the plane of the wheel's hub, without the printed sheet. Where the points are is what the job
 * says; nothing else of it is drawn.
 */
public final class PracticeSet {

    private static final int STANDS = 5;
    private static final double FROM = 1600;
    private static final double BALL = 24;
    private static final double BAR = 13;
    /** A phone's lens, as it writes it into its pictures, and how far its true one is from that. */
    private static final int FOCAL_35 = 26;

    private static final double FOCAL_OFF = 1.02;

    /** Of the board in the picture from the left, mm. */
    public static final double BOARD_WIDE = 400;

    public static final double BOARD_HIGH = 250;

    private final Map<Id, Point> balls = new LinkedHashMap<>();
    private final Map<Id, String> names = new LinkedHashMap<>();
    private final Map<Integer, Point> marks = new LinkedHashMap<>();
    private final List<Frame> cameras = new ArrayList<>();
    private final Point sheetAt;
    private final PracticeScene scene;
    private final Point boardAt;
    private final PracticeScene withBoard;
    private final Frame fromLeft;

    /**
     * @param width of the pictures, px
     * @param height px
     * @throws ImpossibleGeometryException if the job has no column yet
     */
    public PracticeSet(Job job, int width, int height) {
        Column column = job.column()
                .orElseThrow(() -> new ImpossibleGeometryException("The job has no column yet to draw pictures of."));
        Names called = Names.of(job);
        for (PointId p : JobPoints.of(job)) {
            if (shown(p)) {
                Id id = JobPoints.id(job, p);
                balls.put(id, JobPoints.position(job, p));
                names.put(id, called.apply(id));
            }
        }
        List<Point> line = column.points();
        Point middle = line.get(line.size() / 2);
        Point end = line.getLast();
        sheetAt = new Point(Math.rint(middle.x() / 50) * 50, Math.rint((middle.y() - 300) / 50) * 50, 0);
        double diagonal = Math.hypot(width, height);
        double focal = FOCAL_35 / Math.hypot(36, 24) * diagonal * FOCAL_OFF;
        Lens lens = new Lens(focal, width * 0.503, height * 0.497, 0.03, -0.02);
        List<Thing> things = new ArrayList<>();
        Frame floor = new Frame(new Point(sheetAt.x(), sheetAt.y(), -1), Vector.Y.negated(), Vector.X, Vector.Z);
        things.add(new PracticeScene.Sheet(floor, 6000, 6000, Map.of(), 105));
        things.add(PracticeScene.Sheet.target(new Frame(sheetAt, Vector.Y.negated(), Vector.X, Vector.Z)));
        for (int i = 0; i + 1 < line.size(); i++) {
            things.add(new PracticeScene.Bar(line.get(i), line.get(i + 1), BAR, 150));
        }
        balls.values().forEach(p -> things.add(new PracticeScene.Ball(p, BALL, 225)));
        Point look = new Point((middle.x() + sheetAt.x()) / 2, (middle.y() + sheetAt.y()) / 2, 0.7 * middle.z());
        int mark = TargetSheet.ON_SHEET;
        for (Point p : List.of(
                new Point(end.x() + 150, end.y() - 350, 260),
                new Point(end.x() + 100, end.y() + 250, 300),
                new Point(middle.x() - 150, middle.y() + 300, 420),
                new Point(middle.x() - 300, middle.y() - 450, 350))) {
            mark++;
            marks.put(mark, p);
            things.add(PracticeScene.Sheet.single(mark, facing(p, new Point(look.x(), look.y() - FROM, FROM))));
        }
        scene = new PracticeScene(things, lens, width, height);
        for (int n = 0; n < STANDS; n++) {
            double t = Math.toRadians(-100 - 55 + 110.0 * n / (STANDS - 1) + 50);
            double up = 1150 + 200 * (n % 2);
            cameras.add(PracticeScene.looking(
                    new Point(look.x() + FROM * Math.cos(t), look.y() + FROM * Math.sin(t), up), look));
        }
        // Ahead of the wheel and above the column, where nothing is drawn.
        Point hub = line.getFirst();
        boardAt = new Point(Math.rint(hub.x() + 550), hub.y(), Math.rint(hub.z() - 50));
        List<Thing> more = new ArrayList<>(things);
        Frame board = Standing.BY_LEVEL.withAt(boardAt).frame();
        Point boardMiddle = boardAt.plus(board.world(new Vector(BOARD_WIDE / 2, BOARD_HIGH / 2, 0)));
        more.add(new PracticeScene.Sheet(
                new Frame(boardMiddle, board.e(), board.f(), board.g()), BOARD_WIDE, BOARD_HIGH, Map.of(), 215));
        withBoard = new PracticeScene(more, lens, width, height);
        Point seen = hub.midwayTo(boardMiddle);
        fromLeft = PracticeScene.looking(new Point(seen.x() - 350, seen.y() + FROM, seen.z() + 150), seen);
    }

    /** A small sheet's frame, turned toward a place. */
    private static Frame facing(Point at, Point toward) {
        Vector out = toward.minus(at).direction().vector();
        Vector right = Vector.Z.cross(out).direction().vector();
        return new Frame(at, right, out.cross(right), out);
    }

    private static boolean shown(PointId p) {
        return switch (p) {
            case PointId.Hub _, PointId.JointCentre _, PointId.GearInput _, PointId.GearCentre _ -> true;
            case PointId.OnCorner c -> c.side() == Side.LEFT && c.which() == CornerPoint.TIE_ROD_POINT;
            default -> false;
        };
    }

    /** Every ball's middle, by the id of the point of the job. */
    public Map<Id, Point> balls() {
        return Map.copyOf(balls);
    }

    /** The marks that are stuck about it, by their numbers. */
    public Map<Integer, Point> marks() {
        return Map.copyOf(marks);
    }

    /** Where the cross of the sheet lies on the floor, its arrow forward. */
    public Point sheetAt() {
        return sheetAt;
    }

    public int count() {
        return cameras.size();
    }

    public GreyPicture picture(int n) {
        return scene.picture(cameras.get(n), n + 1L);
    }

    /** Where a place is drawn in a picture. */
    public Lens.Pixel drawn(int n, Point p) {
        Frame camera = cameras.get(n);
        return scene.lens().drawn(camera.local(p.minus(camera.origin())));
    }

    /** The lower left corner of the board in the picture from the left; it stands level. */
    public Point boardAt() {
        return boardAt;
    }

    /** The picture from the left. */
    public GreyPicture fromLeft() {
        return withBoard.picture(fromLeft, STANDS + 1L);
    }

    /** Where a place is drawn in the picture from the left. */
    public Lens.Pixel drawnFromLeft(Point p) {
        return scene.lens().drawn(fromLeft.local(p.minus(fromLeft.origin())));
    }

    /**
     * Writes the pictures as {@code practice-1.jpg} and so on, {@code practice-from-left.jpg}, and
     * {@code practice-truth.csv}.
     */
    public List<Path> write(Path folder) throws IOException {
        Files.createDirectories(folder);
        List<Path> all = new ArrayList<>();
        for (int n = 0; n < count(); n++) {
            Path file = folder.resolve("practice-" + (n + 1) + ".jpg");
            SafeFiles.replace(file, jpeg(picture(n)));
            all.add(file);
        }
        Path left = folder.resolve("practice-from-left.jpg");
        SafeFiles.replace(left, jpeg(fromLeft()));
        all.add(left);
        Path truth = folder.resolve("practice-truth.csv");
        SafeFiles.replace(truth, truth().getBytes(StandardCharsets.UTF_8));
        all.add(truth);
        return all;
    }

    private String truth() {
        StringBuilder s = new StringBuilder("name,x_mm,y_mm,z_mm\n");
        line(s, "sheet's cross", sheetAt);
        line(s, "board's lower left corner", boardAt);
        balls.forEach((id, p) -> line(s, names.getOrDefault(id, id.text()), p));
        marks.forEach((m, p) -> line(s, "Mark " + m, p));
        return s.toString();
    }

    private static void line(StringBuilder s, String name, Point p) {
        s.append(
                String.format(Locale.ROOT, "\"%s\",%.3f,%.3f,%.3f%n", name.replace("\"", "\"\""), p.x(), p.y(), p.z()));
    }

    private static byte[] jpeg(GreyPicture p) throws IOException {
        BufferedImage image = new BufferedImage(p.width(), p.height(), BufferedImage.TYPE_BYTE_GRAY);
        image.getRaster().setDataElements(0, 0, p.width(), p.height(), p.grey());
        ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (MemoryCacheImageOutputStream to = new MemoryCacheImageOutputStream(out)) {
            writer.setOutput(to);
            ImageWriteParam how = writer.getDefaultWriteParam();
            how.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
            how.setCompressionQuality(0.85f);
            writer.write(null, new IIOImage(image, null, null), how);
        } finally {
            writer.dispose();
        }
        byte[] plain = out.toByteArray();
        byte[] said = lensSaid();
        return ByteBuffer.allocate(plain.length + said.length)
                .put(plain, 0, 2)
                .put(said)
                .put(plain, 2, plain.length - 2)
                .array();
    }

    /** What a phone writes into its pictures of its lens: an Exif segment with that one field. */
    private static byte[] lensSaid() {
        ByteBuffer b = ByteBuffer.allocate(54);
        b.putShort((short) 0xffe1).putShort((short) 52);
        b.put("Exif\0\0".getBytes(StandardCharsets.US_ASCII));
        b.put("MM".getBytes(StandardCharsets.US_ASCII)).putShort((short) 42).putInt(8);
        // The first directory has one field: where the second is, 26 bytes on.
        b.putShort((short) 1)
                .putShort((short) 0x8769)
                .putShort((short) 4)
                .putInt(1)
                .putInt(26);
        b.putInt(0);
        b.putShort((short) 1).putShort((short) 0xa405).putShort((short) 3).putInt(1);
        b.putShort((short) FOCAL_35).putShort((short) 0);
        b.putInt(0);
        return b.array();
    }
}
