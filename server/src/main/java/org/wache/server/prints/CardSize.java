package org.wache.server.prints;

/** For where a card is: how large it is, and so how far one reads it from. */
public enum CardSize {
    /** In a wallet: ISO/IEC 7810 ID-1, 85.60 mm by 53.98 mm. */
    WALLET(85.6f, 53.98f, 8, 3.3f, 12.8f, 12, 2, 5),
    /** On a lanyard or behind a clear pocket: fits an A6 holder. */
    BADGE(96, 130, 10, 5f, 20, 18.5f, 2, 2),
    /** Behind a windscreen or on a board, read at arm's length and through rain. */
    WINDSCREEN(190, 130, 19, 8.2f, 22, 24, 1, 2);

    private final float width;
    private final float height;
    private final float text;
    private final float line;
    private final float head;
    private final float code;
    private final int columns;
    private final int rows;

    CardSize(float width, float height, float text, float line, float head, float code, int columns, int rows) {
        this.width = width;
        this.height = height;
        this.text = text;
        this.line = line;
        this.head = head;
        this.code = code;
        this.columns = columns;
        this.rows = rows;
    }

    /** In millimetres. */
    float width() {
        return width;
    }

    /** In millimetres. */
    float height() {
        return height;
    }

    /** Of its type, in points. */
    float text() {
        return text;
    }

    /** From line to line, in millimetres. */
    float line() {
        return line;
    }

    /** What whose and which it is takes, in millimetres. */
    float head() {
        return head;
    }

    /** A side of the code to scan, in millimetres. */
    float code() {
        return code;
    }

    /** Beside each other on a sheet. */
    int columns() {
        return columns;
    }

    /** Under each other on a sheet. */
    int rows() {
        return rows;
    }
}
