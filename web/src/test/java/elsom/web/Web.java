package elsom.web;

import elsom.web.exchange.PackedTrials;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Map;
import java.util.Objects;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** A browser without a screen, for tests of what the server answers. */
public final class Web {
    private static final Pattern KEY = Pattern.compile("name=\"csrf\" content=\"([^\"]+)\"");
    private static final String BOUNDARY = "----elsom-test";

    private final String base;
    private final HttpClient client = HttpClient.newBuilder()
            .cookieHandler(new CookieManager())
            .connectTimeout(Duration.ofSeconds(5))
            .build();

    private String kept = "";

    public Web(int port) {
        this.base = "http://127.0.0.1:" + port;
    }

    public HttpResponse<String> get(String path) throws IOException, InterruptedException {
        return client.send(request(path).GET().build(), BodyHandlers.ofString());
    }

    public byte[] download(String path) throws IOException, InterruptedException {
        return client.send(request(path).GET().build(), BodyHandlers.ofByteArray())
                .body();
    }

    /** A file of a trial's zip. */
    public String inZip(Object trial, String file) throws IOException, InterruptedException {
        byte[] bytes = Objects.requireNonNull(
                PackedTrials.files(download("/trials/" + trial + "/trial.zip")).get(file));
        return new String(bytes, StandardCharsets.UTF_8);
    }

    private HttpRequest.Builder request(String path) {
        return HttpRequest.newBuilder(URI.create(base + path)).timeout(Duration.ofSeconds(30));
    }

    /** This client with its page's key fetched once, as a page left open has it. */
    public Web keepingItsKey() throws IOException, InterruptedException {
        kept = key();
        return this;
    }

    private String key() throws IOException, InterruptedException {
        if (!kept.isEmpty()) {
            return kept;
        }
        Matcher key = KEY.matcher(get("/shelf").body());
        if (!key.find()) {
            throw new IllegalStateException("the page has no key");
        }
        return key.group(1);
    }

    /** Sends a form as a page's script does. */
    public HttpResponse<String> post(String path, Map<String, String> fields) throws IOException, InterruptedException {
        return client.send(form(path, fields).header("X-XSRF-TOKEN", key()).build(), BodyHandlers.ofString());
    }

    /** Sends a form without the page's key. */
    public HttpResponse<String> forge(String path, Map<String, String> fields)
            throws IOException, InterruptedException {
        return client.send(form(path, fields).build(), BodyHandlers.ofString());
    }

    private HttpRequest.Builder form(String path, Map<String, String> fields) {
        String body = fields.entrySet().stream()
                .map(field -> field.getKey() + "=" + URLEncoder.encode(field.getValue(), StandardCharsets.UTF_8))
                .collect(Collectors.joining("&"));
        return request(path)
                .header("Content-Type", "application/x-www-form-urlencoded")
                .header("Accept", "application/json, text/html")
                .POST(BodyPublishers.ofString(body));
    }

    /** Sends a file as a form with a file field does. */
    public HttpResponse<String> upload(String path, String name, byte[] bytes, Map<String, String> fields)
            throws IOException, InterruptedException {
        ByteArrayOutputStream body = new ByteArrayOutputStream();
        for (Map.Entry<String, String> field : fields.entrySet()) {
            body.writeBytes(("--" + BOUNDARY + "\r\nContent-Disposition: form-data; name=\"" + field.getKey()
                            + "\"\r\n\r\n" + field.getValue() + "\r\n")
                    .getBytes(StandardCharsets.UTF_8));
        }
        body.writeBytes(("--" + BOUNDARY + "\r\nContent-Disposition: form-data; name=\"file\"; filename=\"" + name
                        + "\"\r\nContent-Type: application/octet-stream\r\n\r\n")
                .getBytes(StandardCharsets.UTF_8));
        body.writeBytes(bytes);
        body.writeBytes(("\r\n--" + BOUNDARY + "--\r\n").getBytes(StandardCharsets.UTF_8));
        return client.send(
                request(path)
                        .header("Content-Type", "multipart/form-data; boundary=" + BOUNDARY)
                        .header("X-XSRF-TOKEN", key())
                        .POST(BodyPublishers.ofByteArray(body.toByteArray()))
                        .build(),
                BodyHandlers.ofString());
    }
}
