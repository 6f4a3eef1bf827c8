"""The models once more, from docs/models.md and docs/figures.md alone: nothing of the program is imported here.

A plan is read as the JSON it is. What a plan does not hold stands at its typical value, as docs/figures.md lists them.
Everything is in SI. Loads, packs and plain direct-current drives stand here, teeth, chains, belts and shafts in stages.py,
motors that take pulses and position servos in machines.py; recompute.py asks whichever a mechanism has.
"""

import math

import numpy as np
from scipy.integrate import solve_ivp
from scipy.linalg import expm
from scipy.optimize import brentq

G = 9.80665
RPM = math.pi / 30

CELL = {  # rest volts over charge, full, floor, ohm times ampere-hours
    "lipo": ([3.27, 3.45, 3.6, 3.69, 3.73, 3.77, 3.82, 3.87, 3.95, 4.02, 4.1, 4.2], 4.2, 3.0, 0.012),
    "liion": ([3.27, 3.45, 3.6, 3.69, 3.73, 3.77, 3.82, 3.87, 3.95, 4.02, 4.1, 4.2], 4.2, 3.0, 0.07),
    "lifepo4": ([2.5, 3.0, 3.2, 3.25, 3.27, 3.28, 3.29, 3.3, 3.32, 3.33, 3.35, 3.45], 3.65, 2.5, 0.025),
    "nimh": ([1.0, 1.15, 1.2, 1.24, 1.25, 1.26, 1.27, 1.28, 1.3, 1.32, 1.36, 1.42], 1.45, 0.9, 0.02),
    "lead": ([1.94, 1.95, 1.96, 1.98, 2.0, 2.02, 2.04, 2.06, 2.08, 2.1, 2.12, 2.14], 2.3, 1.75, 0.033),
    "alkaline": ([0.9, 1.0, 1.1, 1.18, 1.22, 1.26, 1.3, 1.34, 1.38, 1.43, 1.5, 1.58], 1.62, 0.9, 0.4),
}
CHARGE = [0, 0.05, 0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1]
EFFICIENCY = {"ratio": 0.85, "teeth": 0.96, "chain": 0.95, "belt": 0.97, "planetary": 0.93}
BREAKER = {"snap": (1.3, 12), "main": (1.3, 60), "fuse": (1.15, 2.2)}


class NotKnown(Exception):
    """A figure is missing that nothing stands in for."""


def si(record, key, otherwise=None):
    """The figure in SI, else what stands in for it."""
    quantity = record.get(key) if record else None
    if quantity is not None:
        return quantity["si"]
    if otherwise is None:
        raise NotKnown(key)
    return otherwise() if callable(otherwise) else otherwise


def optional(record, key):
    quantity = record.get(key) if record else None
    return None if quantity is None else quantity["si"]


# --- supply


def wire(node, gauge, length):
    record = (node or {}).get("wire", {})
    d = 0.000127 * 92 ** ((36 - si(record, "gauge", gauge)) / 39)
    copper = 1.724e-8 * 2 * si(record, "length", length) / (math.pi / 4 * d**2)
    return copper + si(record, "connectors", 2) * si(record, "connectorResistance", 0.0)


def supply_of(plan, node_id, motors):
    nodes = {node["id"]: node for node in plan["supply"]}
    at, chain = nodes[node_id], []
    while at:
        chain.append(at)
        at = nodes.get(at.get("parent"))
    by = {node["kind"]: node for node in chain}
    node, part = by["pack"], plan["parts"][by["pack"]["part"]]["part"]
    rest, full, floor, ohm_hours = CELL[part["chemistry"]]
    series, parallel = part["series"], part["parallel"]
    charge = si(node, "charge", 0.5)
    cell = si(part, "cellResistance", lambda: ohm_hours * parallel / (si(part, "capacity") / 3600))
    pack = series / parallel * cell + si(part, "leadResistance", 0.002)
    main = wire(by["main"], 6, 0.3) if "main" in by else 0.0
    branch = wire(by["branch"], 12, 0.6) if "branch" in by else 0.0
    together = by.get("branch", {}).get("together", False)
    others = si(node, "others", 0.0)
    open_volts = series * float(np.interp(charge, CHARGE, rest))
    floor_volts = series * floor

    def breaker(kind):
        if kind not in by or "breaker" not in by[kind]:
            return None
        own = plan["parts"][by[kind]["breaker"]]["part"]
        hold, tau = BREAKER[own["type"]]
        return si(own, "rated") * si(own, "holdMultiple", hold), si(own, "timeConstant", tau)

    return {
        "pack": pack,
        "main": main,
        "others": others,
        "open": open_volts,
        "rest": open_volts - (pack + main) * others,
        "floor": floor_volts,
        "boards": si(node, "brownOut", min(6.8, floor_volts)),
        "discharge": optional(part, "dischargeLimit"),
        "rs": motors * (pack + main) + (motors if together else 1) * branch,
        "together": together,
        "branch breaker": breaker("branch"),
        "main breaker": breaker("main"),
    }


# --- motor


def motor_of(part):
    data, drag = part["data"], si(part, "freeCurrentPerSpeed", 0.0)
    if data["form"] == "sheet":
        volts, stall, free = si(data, "ratedVoltage"), si(data, "stallCurrent"), si(data, "freeCurrent")
        r = volts / stall
        kt, ke = si(data, "stallTorque") / (stall - free), (volts - free * r) / si(data, "freeSpeed")
    elif data["form"] == "kv":
        r, free = si(data, "resistance"), si(data, "freeCurrent")
        kt = ke = 1 / si(data, "kv")
    else:
        turns = si(data, "turns") / si(data, "referenceTurns")
        length = optional(data, "referenceLength")
        lengths = 1 if length is None else si(data, "canLength", length) / length
        r = si(data, "referenceResistance") * turns**2 * lengths
        kt = ke = turns * lengths / si(data, "referenceKv")
        free = si(data, "referenceFreeCurrent") / (turns * lengths)
    mass, can = optional(part, "mass"), optional(part, "canDiameter")
    estimate = None if mass is None or can is None else 0.5 * 0.4 * mass * (0.3 * can) ** 2
    rotor = optional(part, "rotorInertia")
    return {"r": r, "kt": kt, "ke": ke, "i0": free, "i1": drag, "rotor": estimate if rotor is None else rotor, "mass": mass}


def steady_current(part, motor):
    typed = optional(part, "continuousCurrent")
    if typed is not None:
        return typed
    if motor["mass"] is None:
        return None
    limit = si(part, "windingLimit", 120 if part["type"] == "brushed" else 150)
    winding, case = 60 / (0.15 * motor["mass"] * 385), 900 / (0.85 * motor["mass"] * 460)
    return math.sqrt((limit - 25) / (motor["r"] * (1 + 0.00393 * (limit - 20)) * (winding + case)))


def current_for(part, motor, seconds):
    """The current that takes a winding at rest from 25 °C to its limit in a time, by the two lumps."""
    limit = si(part, "windingLimit", 120 if part["type"] == "brushed" else 150)
    cw, cc = 0.15 * motor["mass"] * 385, 0.85 * motor["mass"] * 460
    to_case, to_air = cw / 60, cc / 900

    def rise(current):
        copper = current**2 * motor["r"]
        # Rises over 25 °C of winding and case, and a 1 that carries what is steady.
        rates = np.array([[(0.00393 * copper - to_case) / cw, to_case / cw, copper * (1 + 0.00393 * 5) / cw], [to_case / cc, -(to_case + to_air) / cc, 0], [0, 0, 0]])
        return (expm(rates * seconds) @ [0, 0, 1])[0] - (limit - 25)

    high = 1.0
    while rise(high) < 0:
        high *= 2
    return brentq(rise, 0, high)


# --- train


def stage_of(stage):
    kind = stage["kind"]
    if kind in ("worm", "screw"):
        flank, mu = si(stage, "flankAngle", math.radians(14.5)), si(stage, "friction", 0.12)
        if kind == "worm":
            ratio, angle = stage["teeth"] / stage["starts"], si(stage, "leadAngle")
        else:
            lead = si(stage, "lead")
            ratio, angle = 2 * math.pi / lead, math.atan(lead / (math.pi * si(stage, "pitchDiameter")))
        c, t = math.cos(flank), math.tan(angle)
        return ratio, (c - mu * t) / (c + mu / t), max(0.0, (c - mu / t) / (c + mu * t))
    typical = EFFICIENCY[kind] ** (2 if kind == "teeth" and stage.get("idler") is not None else 1)
    eta = si(stage, "efficiency", typical)
    ratio = si(stage, "ratio") if kind in ("ratio", "planetary") else stage["driven"] / stage["driver"]
    return ratio, eta, max(0.0, 2 - 1 / eta)


def train_of(stages, output_efficiency):
    rows = [stage_of(stage) for stage in stages] + [(1.0, output_efficiency, max(0.0, 2 - 1 / output_efficiency))]
    return tuple(math.prod(column) for column in zip(*rows))


# --- loads: force(q, v), hold(q), inertia, rest friction, travel


def spool(drum, rope, width, length):
    if not rope > 0:
        return drum
    turns, layer = max(1, math.floor(width / rope)), 1
    while layer < 50:
        length -= turns * 2 * math.pi * (drum + rope * (layer - 0.5))
        if length <= 0:
            break
        layer += 1
    return drum + rope * (layer - 0.5)


def load_of(job, output, apart):
    kind = job["kind"]
    base = {"radius": 1.0, "eta": 1.0, "rest": 0.0, "traction": None, "target": None, "recovery": 0.0, "rope": None, "strength": None, "buckling": None}
    if kind in ("sprint", "push"):
        m, slope = si(output, "mass"), si(job, "slope", 0.0)
        rolling = m * G * si(output, "rollingResistance", 0.02) * math.cos(slope)
        up = m * G * math.sin(slope)
        wheels = output.get("wheels")
        share = 1.0 if wheels is None else min(wheels, apart or output.get("driven") or wheels) / wheels
        traction = si(output, "grip", 1.0) * m * G * math.cos(slope) * si(output, "drivenShare", share)
        resist = up + rolling + (si(job, "push") if kind == "push" else 0.0)
        travel = si(job, "distance") if kind == "sprint" else None
        return {**base, "radius": si(output, "radius"), "force": lambda q, v: resist, "hold": lambda q: up, "mass": m, "rest": rolling, "traction": traction, "travel": travel}
    if kind in ("raise", "haul"):
        m, k = si(job, "mass"), si(output, "loadPerRope", 1.0)
        slope = si(job, "slope", math.pi / 2)
        friction = si(job, "friction", 0.05 * m * G)
        alone = k * (m * G * math.sin(slope) - (si(job, "counterforce", 0.0) if kind == "raise" else 0.0))
        down = job.get("direction") == "down"
        resist = k * friction + (-alone if down else alone)
        travel = si(job, "distance") / k
        radius = spool(si(output, "radius"), si(output, "ropeDiameter", 0.0), si(output, "drumWidth", 0.04), travel)
        strength = optional(output, "ropeStrength")
        knotted = strength is not None and output.get("knotted", False)
        return {**base, "radius": radius, "eta": si(output, "efficiency", 0.95), "force": lambda q, v: resist, "hold": lambda q: alone, "mass": k * k * m, "rest": k * friction, "travel": travel, "rope": "down" if down else "up", "per": k, "strength": None if strength is None else strength / (10 if knotted else 5)}
    if kind == "swing":
        length, m = si(output, "length"), si(output, "mass")
        centre = si(output, "centre", length / 2)
        inertia = si(output, "inertia", m * length**2 / 12)
        friction = si(output, "friction", 0.02 * m * G * centre)
        payload = si(job, "payload", 0.0)
        rate, zero = si(output, "springRate", 0.0), si(output, "springZero", math.pi / 2)
        start, end = si(job, "from", -math.pi / 6), si(job, "to")
        sense = 1 if end >= start else -1
        weight = G * (m * centre + payload * length)
        alone = lambda q: weight * math.cos(start + sense * q) - rate * (zero - (start + sense * q))
        held = optional(job, "holdAngle")
        return {**base, "force": lambda q, v: sense * alone(q) + friction, "hold": lambda q: abs(alone(q)), "mass": inertia + m * centre**2 + payload * length**2, "rest": friction, "travel": abs(end - start), "at": None if held is None else sense * (held - start)}
    if kind == "throw":
        share, r = (1.0 if output.get("wheels") == "two" else 0.5), si(output, "radius")
        target = si(job, "exitSpeed") / (share * si(output, "slip", 0.9) * r)
        beta = 0.4 if output.get("ball", "hollow") == "solid" else 0.67
        kappa = (1 + beta) / 2 if share <= 0.5 else 1.0
        recover = si(job, "recover", lambda: 0.5 * si(job, "every", 15.0))
        friction, drag = si(output, "friction", 0.02), si(output, "airDrag", 1e-7)
        impulse = kappa * r * si(job, "pieceMass") * si(job, "exitSpeed")
        return {**base, "force": lambda q, v: friction + drag * v * v, "hold": lambda q: 0.0, "mass": si(output, "inertia"), "travel": None, "target": target, "recovery": impulse / recover, "recover": recover}
    if kind == "convey":
        m, slope = si(job, "mass"), si(job, "slope", 0.0)
        up = m * G * math.sin(slope)
        pull = si(job, "pull", 0.5 * m * G)
        return {**base, "radius": si(output, "radius"), "force": lambda q, v: pull + up, "hold": lambda q: up, "mass": m, "travel": si(job, "distance")}
    if kind == "turn":
        friction = si(output, "friction", 0.1)
        return {**base, "force": lambda q, v: friction, "hold": lambda q: 0.0, "mass": si(output, "inertia"), "travel": si(job, "angle")}
    if kind == "slide":
        m, slope = si(job, "mass"), si(job, "slope", 0.0)
        friction = si(job, "friction", 0.05 * m * G)
        alone = m * G * math.sin(slope) + si(job, "push", 0.0)
        travel = si(job, "distance")
        k = {"fixed-free": 2.0, "supported": 1.0, "fixed-supported": 0.7, "fixed": 0.5}[output.get("ends", "supported")]
        d = optional(output, "screwDiameter")
        pushes = None if d is None else math.pi**2 * 205e9 * math.pi / 64 * d**4 / (k * si(output, "freeLength", travel)) ** 2
        return {**base, "force": lambda q, v: alone + friction, "hold": lambda q: alone, "mass": m, "rest": friction, "travel": travel, "buckling": pushes}
    if kind == "grip":
        needed = lambda: si(job, "mass") * (G + si(job, "shake", 5.0)) * si(job, "safety", 2.0) / (2 * si(job, "padGrip", 0.6))
        torque = si(job, "gripForce", needed) * si(output, "fingerLength")
        return {**base, "force": lambda q, v: torque, "hold": lambda q: torque, "mass": si(output, "inertia", 2e-4), "travel": si(job, "angle")}
    torque = si(job, "mass") * G / si(job, "legsDown", 3.0) * si(output, "lever")
    return {**base, "force": lambda q, v: torque, "hold": lambda q: torque, "mass": si(output, "inertia", 5e-4), "travel": si(job, "angle")}


def asked_of(job, load):
    time, per = si(job, "time"), load.get("per", 1.0)
    if load["target"] is not None:
        return {"time": time, "speed": load["target"], "acceleration": load["target"] / time, "working": load["recover"], "duty": min(1.0, load["recover"] / si(job, "every", 15.0))}
    every = si(job, "every", 15.0)
    if load["travel"] is None:
        return {"time": time, "speed": si(job, "speed", 0.2), "acceleration": 0.0, "working": time, "duty": min(1.0, time / every)}
    typed_v, typed_a = optional(job, "speed"), optional(job, "acceleration")
    return {
        "time": time,
        "speed": load["travel"] / time if typed_v is None else typed_v / per,
        "acceleration": 2 * load["travel"] / time**2 if typed_a is None else typed_a / per,
        "working": time,
        "duty": min(1.0, time / every),
    }


def places(load, count=2001):
    return [0.0] if not load["travel"] else np.linspace(0, load["travel"], count)


def situations(job, load, asked):
    """Demand, speed, acceleration, seconds, and whether the load pushes back through the train."""
    along = places(load)
    shock = si(job, "shock", 1.0)
    starting = max(load["force"](q, 0.0) + load["mass"] * asked["acceleration"] for q in along)
    if load["target"] is not None:
        starting = load["force"](0.0, 0.0) + load["mass"] * asked["acceleration"]
    seconds = asked["speed"] / asked["acceleration"] if asked["acceleration"] > 0 else asked["time"]
    driven = starting <= 0
    if driven:
        starting = max(0.0, max(-load["force"](q, 0.0) for q in along))
    working = max(load["force"](q, asked["speed"]) for q in along) + load["recovery"]
    at = load.get("at")
    held = max(abs(load["hold"](q)) for q in ([at] if at is not None else along))
    held = 0.0 if held <= load["rest"] else held
    return {
        "starting": (shock * starting, 0.0, 0.0 if driven else asked["acceleration"], seconds, driven),
        "working": (working, asked["speed"], 0.0, asked["working"], False),
        "holding": (held, 0.0, 0.0, si(job, "held", 10.0), True),
    }


def of_output(load, name):
    """What the output itself stands, whatever turns it."""
    found = {"rope": load["strength"], "buckling": load["buckling"], "slip": None if name == "holding" else load["traction"]}
    return {key: force for key, force in found.items() if force is not None}


# --- a plain direct-current drive


class Drive:
    def __init__(self, plan, choice, job):
        drive = choice["drive"]
        self.n = drive["motors"]
        apart = self.n if drive.get("apart") and self.n > 1 else None
        self.load = load_of(job, choice["output"], apart)
        self.asked = asked_of(job, self.load)
        self.part = plan["parts"][drive["motor"]]["part"]
        self.motor = motor_of(self.part)
        self.supply = supply_of(plan, drive["node"], self.n)
        controller = plan["parts"][drive["controller"]]["part"]
        limit = lambda key: optional(drive, key) if drive.get(key) else optional(controller, key)
        self.stator, self.pack_side = limit("statorLimit"), limit("supplyLimit")
        self.lowest = optional(controller, "lowestVoltage")
        self.duty = si(controller, "greatestDuty", 1.0)
        self.loop = self.motor["r"] + si(controller, "resistance", 0.005)
        self.total, self.eta, self.back = train_of(choice["stages"], self.load["eta"])
        self.lever = self.total / self.load["radius"]
        self.ramp = si(drive, "rampTime", 0.0)
        self.profile = job.get("profile", "moving")

    # currents of one motor

    def by_volts(self, omega):
        spare = self.duty * self.supply["rest"] - self.motor["ke"] * omega
        return max(0.0, spare / (self.loop + self.duty**2 * self.supply["rs"]))

    def from_supply(self, omega, current):
        rest, rs = self.supply["rest"], self.supply["rs"]
        useful = min(current, rest / (2 * rs))
        power = (rest - rs * useful) * useful
        if power <= 0:
            return 0.0
        emf = self.motor["ke"] * omega
        return 2 * power / (emf + math.sqrt(emf**2 + 4 * self.loop * power))

    def to_supply(self, omega, current):
        power = current * (self.motor["ke"] * omega + current * self.loop)
        rest, rs = self.supply["rest"], self.supply["rs"]
        inside = rest**2 - 4 * rs * power
        return None if inside < 0 else 2 * power / (rest + math.sqrt(inside))

    def full(self, omega):
        """Motor and supply current at full command."""
        current = self.by_volts(omega)
        supply = self.duty * current
        if self.pack_side is not None and supply > self.pack_side:
            supply, current = self.pack_side, self.from_supply(omega, self.pack_side)
        if self.stator is not None and current > self.stator:
            current = self.stator
            supply = self.to_supply(omega, current) or supply
        return current, supply

    def force(self, current, situation):
        demand, speed, acceleration, seconds, back = situation
        m = self.motor
        if back:
            return math.inf if self.back == 0 else self.n * m["kt"] * current * self.lever / self.back
        net = current - m["i0"] - m["i1"] * speed * self.lever
        pull = self.n * m["kt"] * self.lever * self.eta
        if speed > 0:
            return pull * net
        return pull * max(0.0, net) - self.n * (m["rotor"] or 0.0) * self.lever**2 * self.eta * acceleration

    def rungs(self, name, situation):
        """What each limit stands at the output."""
        demand, speed, acceleration, seconds, back = situation
        omega, s = speed * self.lever, self.supply
        found = {"volts": self.by_volts(omega)}
        if self.stator is not None:
            found["stator"] = self.stator
        sides = {}
        if self.pack_side is not None:
            sides["supply"] = self.pack_side
        cells = max(0.0, s["rest"] + s["main"] * s["others"] - s["floor"]) / (self.n * s["pack"])
        boards = max(0.0, s["rest"] - s["boards"]) / (self.n * (s["pack"] + s["main"]))
        controller = math.inf if self.lowest is None else max(0.0, s["rest"] - self.lowest) / s["rs"]
        sides["brown-out"] = min(cells, boards, controller)
        if s["discharge"] is not None:
            sides["discharge"] = max(0.0, s["discharge"] - s["others"]) / self.n
        for where in ("branch", "main"):
            if s[f"{where} breaker"]:
                share = self.n if where == "main" or s["together"] else 1
                others = s["others"] if where == "main" else 0.0
                sides[f"{where}-breaker"] = max(0.0, self.trips(where, share, others, seconds) - others) / share
        for key, current in sides.items():
            found[key] = self.from_supply(omega, current)
        steady = steady_current(self.part, self.motor)
        if steady is not None and name != "starting":
            rest = 0.71 if self.part["type"] == "brushless" else 1.0
            found["continuous"] = steady * rest if name == "holding" else steady / math.sqrt(self.asked["duty"])
        if name == "holding" and self.motor["mass"] is not None:
            found["heat"] = current_for(self.part, self.motor, seconds)
        forces = {key: max(0.0, self.force(current, situation)) for key, current in found.items()}
        return forces | of_output(self.load, name)

    def trips(self, where, share, others, seconds):
        holds, tau = self.supply[f"{where} breaker"]
        working = max(0.0, max(self.load["force"](q, self.asked["speed"]) for q in places(self.load)) + self.load["recovery"])
        flowing = self.flowing(working, self.asked["speed"] * self.lever)
        before = min(1.0, self.asked["duty"] * ((share * flowing + others) / holds) ** 2)
        if before >= 1:
            return 0.0
        left = math.exp(-seconds / tau)
        return holds * math.sqrt((1 - before * left) / (1 - left))

    def flowing(self, force, omega):
        """Supply current of one motor while it carries a force; at the speed the volts reach where that is less."""
        m = self.motor
        wanted = force / (self.n * self.lever * self.eta)
        need = lambda w: wanted / m["kt"] + m["i0"] + m["i1"] * w
        if need(omega) > self.by_volts(omega):
            if need(0.0) >= self.by_volts(0.0):
                return self.duty * self.by_volts(0.0)
            omega = brentq(lambda w: need(w) - self.by_volts(w), 0.0, omega)
            return self.duty * need(omega)
        supply = self.to_supply(omega, need(omega))
        return self.supply["rest"] / (2 * self.supply["rs"]) if supply is None else supply

    def acceleration(self, q, v):
        m, load = self.motor, self.load
        current, supply = self.full(v * self.lever)
        net = current - m["i0"] - m["i1"] * v * self.lever
        torque = m["kt"] * (max(0.0, net) if v <= 0 else net)
        mass, force = load["mass"], load["force"](q, v)
        rotors = self.n * m["rotor"] * self.lever**2
        pull = self.n * torque * self.lever
        a = (pull * self.eta - force) / (mass + rotors * self.eta)
        if mass * a + force < 0:
            a = -force / mass if load["rope"] == "up" else (pull - force * self.back) / (mass * self.back + rotors)
        elif load["rope"] == "down":
            a = -force / mass
        if load["traction"] is not None:
            carried = mass * a + force
            if abs(carried) > load["traction"]:
                a = (math.copysign(load["traction"], carried) - force) / mass
        return a, current, supply

    def run(self):
        """Full effort from rest, arriving on the move: seconds, energy of the pack, r.m.s. current of a motor."""
        if self.ramp > 0 or self.profile != "moving" or self.motor["rotor"] is None:
            return None
        if self.acceleration(0.0, 0.0)[0] <= 0:
            return None

        def slope(_t, state):
            q, v, *_ = state
            a, current, supply = self.acceleration(q, max(0.0, v))
            drawn = self.n * supply
            volts = self.supply["rest"] - self.supply["pack"] * drawn
            return [v, a, volts * drawn, current**2]

        travel, target = self.load["travel"], self.load["target"]
        if target is not None:
            ends = lambda _t, state: state[1] - target
        elif travel is not None:
            ends = lambda _t, state: state[0] - travel
        else:
            ends = None
        longest = 60.0 if ends else self.asked["time"]
        if ends:
            ends.terminal = True
        found = solve_ivp(slope, (0, longest), [0.0, 0.0, 0.0, 0.0], events=ends, rtol=1e-8, atol=1e-11, max_step=longest / 50)
        if ends and len(found.t_events[0]) == 0:
            return None
        time, (_q, _v, energy, squared) = found.t[-1], found.y[:, -1]
        return {"time": time, "packEnergy": energy, "rmsMotorCurrent": math.sqrt(squared / time)}
