package mildtilt.io.csv;

import java.util.List;
import java.util.regex.Pattern;

/**
 * How the numbers of one table are written: all alike, so that "1,234" in one line can be told from "10,5" in another.
 */
enum CsvNumber {
    /** 1234.5, and 1,234.5 with its thousands grouped. */
    POINT,
    /** 1234,5, and 1.234,5 with its thousands grouped. */
    COMMA,
    /** Nothing in the table shows whether a comma groups thousands or begins the decimals. */
    UNCLEAR;

    private static final Pattern PLAIN = Pattern.compile("[+-]?(\\d+(\\.\\d*)?|\\.\\d+)([eE][+-]?\\d{1,3})?");
    private static final Pattern GROUPED = Pattern.compile("[+-]?\\d{1,3}(,\\d{3})+(\\.\\d*)?");
    private static final Pattern POINT_GROUPED = Pattern.compile("[+-]?\\d{1,3}(\\.\\d{3})+");
    private static final Pattern LIKE_A_NUMBER =
            Pattern.compile("[+−-]?[\\d.,'\u00a0\u202f ]*\\d[\\d.,'\u00a0\u202f ]*");

    /** @param parts what parts the columns: semicolons are used where commas begin the decimals */
    static CsvNumber of(List<List<String>> rows, char parts) {
        boolean commaDecimal = false;
        boolean pointDecimal = false;
        boolean commaGroups = false;
        for (List<String> row : rows) {
            for (String cell : row) {
                String c = cell.strip();
                if (!LIKE_A_NUMBER.matcher(c).matches()) {
                    continue;
                }
                int comma = c.lastIndexOf(',');
                int point = c.lastIndexOf('.');
                if (comma >= 0 && point >= 0) {
                    commaDecimal |= comma > point;
                    pointDecimal |= point > comma;
                } else if (comma >= 0) {
                    boolean groups = GROUPED.matcher(c.replace('−', '-')).matches();
                    commaGroups |= groups;
                    commaDecimal |= !groups;
                } else if (point >= 0) {
                    pointDecimal |= !POINT_GROUPED.matcher(c.replace('−', '-')).matches();
                }
            }
        }
        if (commaDecimal && pointDecimal) {
            return UNCLEAR;
        }
        return commaDecimal
                ? COMMA
                : !commaGroups || pointDecimal || parts == ',' ? POINT : parts == ';' ? COMMA : UNCLEAR;
    }

    /** @throws NumberFormatException if it is none, with a message where more than that can be said */
    double value(String text) {
        String t = text.replace('−', '-').replaceAll("(?<=\\d)['\u00a0\u202f ](?=\\d{3}(\\D|$))", "");
        if (this == UNCLEAR && t.indexOf(',') >= 0) {
            throw new NumberFormatException(
                    "in this file a comma can be either a decimal point or between thousands. Write all numbers one way.");
        }
        String plain =
                this == COMMA ? t.replace('.', '\u0001').replace(',', '.').replace('\u0001', ',') : t;
        String whole = GROUPED.matcher(plain).matches() ? plain.replace(",", "") : plain;
        if (!PLAIN.matcher(whole).matches()) {
            throw new NumberFormatException();
        }
        double v = Double.parseDouble(whole);
        if (!Double.isFinite(v)) {
            throw new NumberFormatException("it is too large.");
        }
        return v;
    }
}
