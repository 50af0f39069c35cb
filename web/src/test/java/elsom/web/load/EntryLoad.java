package elsom.web.load;

import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * Enters readings of a trial's last look as benches do: each client one after another, waiting for each answer. Prints the
 * median and the 95th percentile. Arguments: address, trial, look, clients, entries of each client, the first unit, and,
 * where people are meant who look up between readings, milliseconds from one entry of a client to its next.
 */
public final class EntryLoad {
    private static final Pattern KEY = Pattern.compile("name=\"csrf\" content=\"([^\"]+)\"");
    private static final Pattern UNIT = Pattern.compile("data-unit=\"([A-Z0-9]+)\"");

    private final String base;
    private final String trial;
    private final String look;

    private EntryLoad(String base, String trial, String look) {
        this.base = base;
        this.trial = trial;
        this.look = look;
    }

    public static void main(String[] arguments) throws Exception {
        EntryLoad load = new EntryLoad(arguments[0], arguments[1], arguments[2]);
        int every = arguments.length > 6 ? Integer.parseInt(arguments[6]) : 0;
        load.run(Integer.parseInt(arguments[3]), Integer.parseInt(arguments[4]), Integer.parseInt(arguments[5]), every);
    }

    private void run(int clients, int entries, int first, int every) throws Exception {
        List<String> units = units();
        ExecutorService pool = Executors.newFixedThreadPool(clients);
        List<Future<List<Double>>> waiting = new ArrayList<>();
        for (int client = 0; client < clients; client++) {
            int from = first + client * entries;
            waiting.add(pool.submit(() -> enter(units, from, entries, every)));
        }
        List<Double> times = new ArrayList<>();
        for (Future<List<Double>> one : waiting) {
            times.addAll(one.get());
        }
        pool.shutdown();
        List<Double> sorted = times.stream().sorted().toList();
        System.out.printf(
                "%d clients: median %.0f ms, p95 %.0f ms of %d entries%n",
                clients, sorted.get(sorted.size() / 2), sorted.get(sorted.size() * 95 / 100), sorted.size());
    }

    private HttpClient client() {
        return HttpClient.newBuilder().cookieHandler(new CookieManager()).build();
    }

    private List<String> units() throws IOException, InterruptedException {
        String page = get(client(), "/trials/" + trial + "/bench?look=" + look);
        Matcher matcher = UNIT.matcher(page);
        return Stream.iterate(matcher.find(), found -> found, found -> matcher.find())
                .map(found -> matcher.group(1))
                .distinct()
                .toList();
    }

    private String get(HttpClient client, String path) throws IOException, InterruptedException {
        return client.send(HttpRequest.newBuilder(URI.create(base + path)).build(), BodyHandlers.ofString())
                .body();
    }

    private List<Double> enter(List<String> units, int from, int entries, int every)
            throws IOException, InterruptedException {
        HttpClient client = client();
        Matcher key = KEY.matcher(get(client, "/shelf"));
        if (!key.find()) {
            throw new IOException("the page has no key");
        }
        List<Double> times = new ArrayList<>();
        for (int i = 0; i < entries; i++) {
            int place = from + i;
            String body = "unit=" + units.get(place % units.size()) + "&look=" + look
                    + "&endpoint=mass-" + (1 + place / units.size()) + "&sub=1&text=" + (12 + i % 7)
                    + ".5&timing=NOW&instrument=HAND&ageMs=0&token="
                    + UUID.randomUUID();
            HttpRequest request = HttpRequest.newBuilder(URI.create(base + "/trials/" + trial + "/bench/readings"))
                    .header("Content-Type", "application/x-www-form-urlencoded")
                    .header("Accept", "application/json")
                    .header("X-XSRF-TOKEN", key.group(1))
                    .POST(BodyPublishers.ofString(body))
                    .build();
            if (every > 0) {
                TimeUnit.MILLISECONDS.sleep(every);
            }
            long before = System.nanoTime();
            HttpResponse<String> answer = client.send(request, BodyHandlers.ofString());
            times.add((System.nanoTime() - before) / 1e6);
            if (answer.statusCode() != 200) {
                throw new IOException("not saved: " + answer.statusCode() + " " + answer.body());
            }
        }
        return times;
    }
}
