"""Teeth, chains, belts, gearboxes and shafts: what each stands at the output. From docs/models.md and docs/figures.md alone."""

import math

from scipy.optimize import brentq

from models import G, optional, si, stage_of

ALLOWED_GEAR = {"hardened steel": 250e6, "plain steel": 170e6, "7075 aluminium": 150e6, "brass": 60e6, "nylon or acetal": 40e6, "printed": 15e6}
ALLOWED_SHAFT = {"hardened steel": 300e6, "mild steel": 140e6, "7075 aluminium": 200e6, "6061 aluminium": 110e6}
LEWIS = {12: 0.245, 13: 0.261, 14: 0.277, 15: 0.29, 16: 0.296, 17: 0.303, 18: 0.309, 19: 0.314, 20: 0.322, 21: 0.328, 22: 0.331, 24: 0.337, 26: 0.346, 28: 0.353, 30: 0.359, 34: 0.371, 38: 0.384, 43: 0.397, 50: 0.409, 60: 0.422, 75: 0.435, 100: 0.447, 150: 0.46, 300: 0.472}
CHAINS = {6.35: (3470, 0.14, 2.8e-3), 9.525: (7830, 0.33, 4.3e-3), 12.7: (13900, 0.62, 7.3e-3)}
BELTS = {"round": {3: 11e3, 5: 18e3, 8: 25e3}, "modified round": {3: 14e3, 5: 28e3, 8: 60e3}}
DERATING = {5: 0.8, 4: 0.6, 3: 0.4, 2: 0.2}


def lewis(teeth):
    rows = sorted(LEWIS)
    if teeth >= rows[-1]:
        return LEWIS[rows[-1]]
    above = next(z for z in rows if z >= teeth)
    if above == teeth:
        return LEWIS[above]
    below = max(z for z in rows if z < teeth)
    return LEWIS[below] + (LEWIS[above] - LEWIS[below]) * (teeth - below) / (above - below)


def length_round(pitch, small, large, centre):
    """Pitches of a run round two wheels; the wheels touch where the centre is too short for the tangents."""
    sine = (large - small) * pitch / (2 * math.pi * centre)
    if sine >= 1:
        return 0.0
    beta = math.asin(sine)
    return 2 * centre * math.cos(beta) / pitch + small * (math.pi - 2 * beta) / (2 * math.pi) + large * (math.pi + 2 * beta) / (2 * math.pi)


def centre_for(pitch, small, large, length):
    if length <= large or length <= (small + large) / 2:
        return None
    least = (large - small) * pitch / (2 * math.pi) + 1e-12
    return brentq(lambda c: length_round(pitch, small, large, c) - length, least, least + length * pitch)


def run_of(stage, pitch, length_of):
    """Teeth of the small and the large wheel, and the centre they run at."""
    small, large = sorted((stage["driver"], stage["driven"]))
    radii = (small + large) * pitch / (2 * math.pi)
    wanted = si(stage, "centre", max(30 * pitch, 1.2 * radii))
    length = length_of(small, large, wanted)
    taut = centre_for(pitch, small, large, length) or radii
    stands = "centre" in stage and stage.get("takeUp", "slide") != "slide"
    return small, large, wanted if stands else taut, taut, length


def wrap(pitch, small, large, centre):
    return math.pi - 2 * math.asin(min(1.0, (large - small) * pitch / (2 * math.pi * centre)))


def links_of(stage, pitch):
    def choose(small, large, wanted):
        if "links" in stage:
            return stage["links"]
        exact = length_round(pitch, small, large, wanted)
        below = 2 * math.floor((exact or large) / 2 + 1e-9)
        above = below + 2
        while centre_for(pitch, small, large, above) is None:
            above += 2
        at_below = centre_for(pitch, small, large, below)
        stands = "centre" in stage and stage.get("takeUp", "slide") != "slide"
        # On shafts that stand, a chain a hair too short is stretched on; one shorter does not close.
        if at_below is None or (stands and wanted - at_below > 2e-4):
            return above
        return below if wanted - at_below <= centre_for(pitch, small, large, above) - wanted else above

    return choose


def chain(stage):
    """Pulls at which it snaps, skips and shears a tooth; a pull that is not known is left out."""
    pitch = si(stage, "pitch")
    known = next((row for size, row in CHAINS.items() if abs(size / 1000 - pitch) < 1e-5), None)
    strength, mass, plate = known or (None, None, 0.45 * pitch)
    small, large, centre, taut, links = run_of(stage, pitch, links_of(stage, pitch))
    wear = si(stage, "wear", 0.01)
    strand = math.sqrt(max(0.0, taut**2 - ((large - small) * pitch / (2 * math.pi)) ** 2))
    slack = optional(stage, "tension")
    steep = abs(math.sin(si(stage, "direction", 0.0))) > math.sin(math.pi / 4)
    if slack is None and stage.get("takeUp") == "tensioner":
        slack = 20.0
    elif slack is None and not steep and mass is not None:
        slack = mass * G * strand / (8 * 0.02)

    def passed_on(teeth):
        share = min(1.0, max(0.0, wear / 0.03))
        angle = math.radians((1 - share) * (17.5 - 64 / teeth) + share * (35 - 120 / teeth))
        return math.sin(angle) / math.sin(angle + 2 * math.pi / teeth)

    def skips(teeth, around):
        return slack / passed_on(teeth) ** max(1, math.floor(teeth * around / (2 * math.pi) + 1e-9))

    pulls = {"sprocket-shear": plate * 0.45 * pitch * ALLOWED_SHAFT[stage.get("material", "mild steel")] / (1 - passed_on(small))}
    breaks = si(stage, "strength", strength) if strength or "strength" in stage else None
    if breaks is not None:
        pulls["chain-snap"] = breaks * (0.65 if links % 2 else 1)
    if slack is not None:
        around = wrap(pitch, small, large, centre)
        pulls["chain-skip"] = min(skips(small, around), skips(large, 2 * math.pi - around))
    return {key: pull * stage["driver"] * pitch / (2 * math.pi) for key, pull in pulls.items()}


def belt(stage):
    pitch, width = si(stage, "pitch"), si(stage, "face")
    small, large, centre, *_ = run_of(stage, pitch, lambda a, b, c: stage.get("beltTeeth") or length_round(pitch, a, b, c))
    table = BELTS[stage.get("profile", "round")]
    rated = next(pull for size, pull in table.items() if abs(size / 1000 - pitch) < 1e-6) * width * stage.get("belts", 1)
    around = wrap(pitch, small, large, centre) + (math.pi / 6 if stage.get("idler") else 0)
    mesh = math.floor(small * around / (2 * math.pi) + 1e-9)
    derated = 1.0 if mesh >= 6 else DERATING.get(mesh, 0.0)
    rest = si(stage, "tension", rated / 2)
    pulls = {"belt-shear": rated * derated, "belt-skip": 2 * rest * derated, "belt-snap": max(0.0, 2 * (si(stage, "strength", 4 * rated) - rest))}
    return {key: pull * stage["driver"] * pitch / (2 * math.pi) for key, pull in pulls.items()}


def teeth(stage, omega):
    module = si(stage, "pitch")
    face, allowed = si(stage, "face", 10 * module), ALLOWED_GEAR[stage.get("material", "plain steel")]
    wheels = [(stage["driver"], 1.0), (stage["driven"], 1.0)] + ([(stage["idler"], 0.7)] if "idler" in stage else [])
    if min(z for z, _ in wheels) < 12:
        return {}
    # All mesh at one pitch line, with one tangential force.
    line = omega * module * stage["driver"] / 2
    force = min(share * allowed * face * module * lewis(z) * 6.1 / (6.1 + abs(line)) for z, share in wheels)
    return {"tooth": force * module * stage["driver"] / 2}


def shaft(stage, radius, through):
    own = stage.get("shaft")
    if not own or "size" not in own:
        return {}
    size, allowed = si(own, "size"), ALLOWED_SHAFT[own.get("material", "mild steel")]
    bending = si(own, "overhang", 0.012) / radius if radius > 0 else 0.0
    one_round = math.pi * size**3 * allowed / (16 * math.hypot(1, bending))
    if own["form"] == "hexagon":
        most = min(one_round, 0.188 * size**3 * allowed)
    else:
        most = one_round * (0.75 if own["form"] == "keyed" else 1)
    return {"shaft": most * through}


def rungs(stages, load, motors, apart, motor_speed, back):
    """The least force at the output at which each kind of rung is reached."""
    rows = [stage_of(stage) for stage in stages]
    rows.append((1.0, load["eta"], max(0.0, 2 - 1 / load["eta"])))
    # A torque on the driven shaft, seen on the driving one.
    through = [eta_back / ratio if back else 1 / (ratio * eta) for ratio, eta, eta_back in rows]
    found, omega = {}, motor_speed
    for index, stage in enumerate(stages):
        kind = stage["kind"]
        radius = 0.0
        own = {}
        if kind == "teeth":
            own, radius = teeth(stage, omega), si(stage, "pitch") * stage["driven"] / 2
        elif kind in ("chain", "belt"):
            own = chain(stage) if kind == "chain" else belt(stage)
            radius = si(stage, "pitch") * stage["driven"] / (2 * math.pi)
        elif kind != "screw" and "ratedTorque" in stage:
            own = {"gearbox": si(stage, "ratedTorque") * through[index]}
        own |= shaft(stage, radius, through[index])
        per_force = load["radius"] * math.prod(through[index:])
        share = apart or (motors if index == 0 and kind not in ("chain", "belt") else 1)
        for key, torque in own.items():
            force = math.inf if per_force == 0 else share * torque / per_force
            found[key] = min(found.get(key, math.inf), force)
        omega /= rows[index][0]
    return found
