package mildtilt.io;

import java.text.Normalizer;
import java.util.Locale;
import java.util.Set;

/** Names of files made of names that people type, safe on every system. */
public final class SafeName {

    private static final int LONGEST = 60;
    /** Not to be had as file names on some systems, whatever their ending. */
    private static final Set<String> RESERVED =
            Set.of("con", "prn", "aux", "nul", "com1", "com2", "com3", "com4", "lpt1", "lpt2", "lpt3");

    private SafeName() {}

    /** Small letters, digits and hyphens only, never empty, never longer than {@value #LONGEST}. */
    public static String of(String name) {
        String plain = Normalizer.normalize(name, Normalizer.Form.NFKD)
                .replaceAll("\\p{M}", "")
                .toLowerCase(Locale.ROOT)
                .replaceAll("[^a-z0-9]+", "-")
                .replaceAll("^-+|-+$", "");
        String cut = plain.length() > LONGEST ? plain.substring(0, LONGEST).replaceAll("-+$", "") : plain;
        return cut.isEmpty() ? "piece" : RESERVED.contains(cut) ? cut + "-piece" : cut;
    }

    /** The same, with a number after it if it is among those taken; added to them. */
    public static String of(String name, Set<String> taken) {
        String safe = of(name);
        String own = safe;
        for (int n = 2; !taken.add(own); n++) {
            own = safe + "-" + n;
        }
        return own;
    }
}
