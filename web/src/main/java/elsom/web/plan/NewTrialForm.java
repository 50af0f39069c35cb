package elsom.web.plan;

import elsom.core.trial.WateringSchool;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;

/** What is typed to begin a trial, exactly as typed, so that a refused form comes back unchanged. */
class NewTrialForm {
    static final int OFFERED_LINES = 5;
    static final int MOST_LINES = 12;

    private String protocol = "water-holding";
    private String question = "";
    private String zone = "";
    private String start = "";
    private String container = "";
    private String volume = "";
    private String replicates = "4";
    private String place = "Bench";
    private String secondPlace = "";
    private String times = "";
    private String refill = "50";
    private WateringSchool watering = WateringSchool.SAME_FOR_ALL;
    private boolean checkDryness;
    private UUID token = UUID.randomUUID();
    private List<Line> media = new ArrayList<>();

    /** One medium. */
    static class Line {
        private String name = "";
        private String kind = "";
        private String organicMatter = "";
        private String container = "";
        private boolean prewetted;
        private boolean control;

        public String getName() {
            return name;
        }

        public void setName(String name) {
            this.name = name;
        }

        public String getKind() {
            return kind;
        }

        public void setKind(String kind) {
            this.kind = kind;
        }

        public String getOrganicMatter() {
            return organicMatter;
        }

        public void setOrganicMatter(String organicMatter) {
            this.organicMatter = organicMatter;
        }

        public String getContainer() {
            return container;
        }

        public void setContainer(String container) {
            this.container = container;
        }

        public boolean isPrewetted() {
            return prewetted;
        }

        public void setPrewetted(boolean prewetted) {
            this.prewetted = prewetted;
        }

        public boolean isControl() {
            return control;
        }

        public void setControl(boolean control) {
            this.control = control;
        }

        boolean isBlank() {
            return name.isBlank();
        }
    }

    public String getProtocol() {
        return protocol;
    }

    public void setProtocol(String protocol) {
        this.protocol = protocol;
    }

    public String getQuestion() {
        return question;
    }

    public void setQuestion(String question) {
        this.question = question;
    }

    public String getZone() {
        return zone;
    }

    public void setZone(String zone) {
        this.zone = zone;
    }

    public String getStart() {
        return start;
    }

    public void setStart(String start) {
        this.start = start;
    }

    public String getContainer() {
        return container;
    }

    public void setContainer(String container) {
        this.container = container;
    }

    public String getVolume() {
        return volume;
    }

    public void setVolume(String volume) {
        this.volume = volume;
    }

    public String getReplicates() {
        return replicates;
    }

    public void setReplicates(String replicates) {
        this.replicates = replicates;
    }

    public String getPlace() {
        return place;
    }

    public void setPlace(String place) {
        this.place = place;
    }

    public String getSecondPlace() {
        return secondPlace;
    }

    public void setSecondPlace(String secondPlace) {
        this.secondPlace = secondPlace;
    }

    public String getTimes() {
        return times;
    }

    public void setTimes(String times) {
        this.times = times;
    }

    public String getRefill() {
        return refill;
    }

    public void setRefill(String refill) {
        this.refill = refill;
    }

    public WateringSchool getWatering() {
        return watering;
    }

    public void setWatering(WateringSchool watering) {
        this.watering = watering;
    }

    public boolean isCheckDryness() {
        return checkDryness;
    }

    public void setCheckDryness(boolean checkDryness) {
        this.checkDryness = checkDryness;
    }

    public UUID getToken() {
        return token;
    }

    public void setToken(UUID token) {
        this.token = token;
    }

    public List<Line> getMedia() {
        return media;
    }

    public void setMedia(List<Line> media) {
        this.media = media;
    }

    /** Adds blank lines up to what is offered. */
    NewTrialForm padded() {
        while (media.size() < OFFERED_LINES) {
            media.add(new Line());
        }
        return this;
    }
}
