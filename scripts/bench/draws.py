"""200 000 draws of the bench's rim-and-face problem in vectorised numpy; prints milliseconds a run."""
import time

import numpy as np

MIL = 0.0254
N = 200_000


def run(seed, clock):
    start = time.perf_counter()
    g = np.random.default_rng(seed)
    angle = np.radians([0, 90, 180, 270])
    cos, sin = np.cos(angle), np.sin(angle)
    turn = np.radians(clock) * g.standard_normal((N, 4)) if clock else np.zeros((1, 4))

    def circle(a, b):
        stood = angle + turn
        read = a * np.cos(stood) + b * np.sin(stood) + 0.15 * MIL * g.standard_normal((N, 4))
        return read @ cos / 2, read @ sin / 2

    a1, b1 = circle(0.2, -0.13)
    a2, b2 = circle(0.03, -0.02)
    sag = 3 * MIL + 0.15 * MIL * g.standard_normal(N)
    diameter = 203.2 + 1.5 * g.standard_normal(N)
    plane = -38.1 + 1.5 * g.standard_normal(N)
    slope_v, slope_h = a2 / (diameter / 2), b2 / (diameter / 2)
    offset_v, offset_h = -(a1 - sag) - slope_v * plane, -b1 - slope_h * plane
    feet = np.array([304.8, 876.3])
    x = feet + 1.5 * g.standard_normal((N, 2))
    move_v = -(offset_v[:, None] + slope_v[:, None] * x)
    move_h = -(offset_h[:, None] + slope_h[:, None] * x)
    done_v = -(offset_v.mean() + slope_v.mean() * feet) + 0.29 * MIL * g.standard_normal((N, 2))
    done_h = -(offset_h.mean() + slope_h.mean() * feet) + 0.4 * MIL * g.standard_normal((N, 2))
    span = x[:, 1] - x[:, 0]
    tilt_v, tilt_h = (done_v[:, 1] - done_v[:, 0]) / span, (done_h[:, 1] - done_h[:, 0]) / span
    after = (
        offset_v + done_v[:, 0] - tilt_v * x[:, 0],
        offset_h + done_h[:, 0] - tilt_h * x[:, 0],
        slope_v + tilt_v,
        slope_h + tilt_h,
    )
    limits = (0.0927, 0.0927, 0.00068, 0.00068)
    inside = np.ones(N, bool)
    for value, limit in zip(after, limits):
        inside &= np.abs(value) < limit
    line = (offset_v, offset_h, slope_v, slope_h)
    for value in (*line, move_v[:, 0], move_v[:, 1], move_h[:, 0], move_h[:, 1]):
        value.mean(), value.std(ddof=1), np.quantile(value, [0.025, 0.975])
    np.cov(np.stack(line))
    return (time.perf_counter() - start) * 1000, inside.mean()


print(" ".join(f"{run(i, 0.5 if i % 2 else 0)[0]:.1f}" for i in range(7)))
