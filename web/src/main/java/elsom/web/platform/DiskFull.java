package elsom.web.platform;

/** Nothing was written, as there is no room left. */
final class DiskFull extends RuntimeException {
    DiskFull() {
        super("the disk is full");
    }
}
