package elsom.web.platform;

import jakarta.servlet.http.HttpServletRequest;

/** A page that is shown by a link, to somebody without an account: it has no ways on to other pages. */
public final class SharedPage {
    private static final String AT = "elsom.shared";

    private SharedPage() {}

    /** Notes that a request came by a link. */
    public static void mark(HttpServletRequest request, String at) {
        request.setAttribute(AT, at);
    }

    /** The link's own address; empty for a page of who is signed in. */
    static String at(HttpServletRequest request) {
        return request.getAttribute(AT) instanceof String at ? at : "";
    }
}
