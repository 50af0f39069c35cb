package elsom.core.trial;

/** How far a trial has come: a plan that can still change, or one that was started and is frozen. */
public enum TrialStage {
    DRAFT,
    STARTED
}
