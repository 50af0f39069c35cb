package elsom.core.water;

import elsom.core.curve.LeastSquares;

/** The two-stage dry-down with parameters M₀, R, t_b, M_r. */
enum TwoStageModel implements LeastSquares.Model {
    INSTANCE;

    @Override
    public double value(double t, double[] p) {
        double u = t - p[2];
        if (u <= 0) {
            return p[0] - p[1] * t;
        }
        double d = p[0] - p[1] * p[2] - p[3];
        return p[3] + d * Math.exp(-p[1] * u / d);
    }

    @Override
    public double[] gradient(double t, double[] p) {
        double rate = p[1];
        double u = t - p[2];
        if (u <= 0) {
            return new double[] {1, -t, 0, 0};
        }
        double d = p[0] - rate * p[2] - p[3];
        double e = Math.exp(-rate * u / d);
        // dM = dMr + e·dD + D·e·d(−R u/D), with dD and du by each parameter.
        double byD = e + e * rate * u / d;
        return new double[] {byD, -p[2] * byD - e * u, -rate * byD + e * rate, 1 - byD};
    }
}
