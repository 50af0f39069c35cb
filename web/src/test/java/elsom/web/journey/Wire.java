package elsom.web.journey;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/** The wire between a browser and Elsom, which can be cut: for the browser's workers too, which no switch of it reaches. */
final class Wire implements AutoCloseable {
    private static final int WAITING = 50;

    private final int to;
    private final Set<Socket> open = ConcurrentHashMap.newKeySet();
    private final int port;
    private volatile ServerSocket end;

    Wire(int to) {
        this.to = to;
        this.end = listen(0);
        this.port = end.getLocalPort();
    }

    int port() {
        return port;
    }

    private ServerSocket listen(int at) {
        try {
            ServerSocket listening = new ServerSocket();
            listening.setReuseAddress(true);
            listening.bind(new InetSocketAddress(InetAddress.getLoopbackAddress(), at), WAITING);
            run(() -> {
                while (!listening.isClosed()) {
                    join(listening, listening.accept());
                }
            });
            return listening;
        } catch (IOException taken) {
            throw new UncheckedIOException(taken);
        }
    }

    private void join(ServerSocket at, Socket browser) throws IOException {
        Socket server = new Socket(InetAddress.getLoopbackAddress(), to);
        open.add(browser);
        open.add(server);
        if (at.isClosed()) {
            browser.close();
            server.close();
        }
        run(() -> pass(browser, server));
        run(() -> pass(server, browser));
    }

    private void pass(Socket from, Socket into) throws IOException {
        try {
            from.getInputStream().transferTo(into.getOutputStream());
        } finally {
            from.close();
            into.close();
            open.remove(from);
        }
    }

    void cut() {
        try {
            end.close();
            for (Socket socket : open) {
                socket.close();
            }
            open.clear();
        } catch (IOException stuck) {
            throw new UncheckedIOException(stuck);
        }
    }

    void mend() {
        end = listen(port);
    }

    @Override
    public void close() {
        cut();
    }

    /** What ends a connection ends its thread. */
    private static void run(Passing what) {
        Thread thread = new Thread(() -> {
            try {
                what.run();
            } catch (IOException ended) {
                Thread.currentThread().interrupt();
            }
        });
        thread.setDaemon(true);
        thread.start();
    }

    @FunctionalInterface
    private interface Passing {
        void run() throws IOException;
    }
}
