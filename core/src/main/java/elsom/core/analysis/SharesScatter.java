package elsom.core.analysis;

/** How much containers of counted plants differ beyond chance. */
public final class SharesScatter {
    private SharesScatter() {}

    /** How many times as much as chance among plants makes them; 1 when it can't be seen, or for other endpoints. */
    public static double excess(Observations all) {
        return all.kind() != EndpointKind.COUNT_OF || all.seen().isEmpty()
                ? 1
                : SharesModel.of(all, Ask.Scatter.ALIKE)
                        .asOptional()
                        .map(SharesModel::excess)
                        .orElse(1.0);
    }
}
