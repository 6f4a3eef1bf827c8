"""Motors that take pulses, and position servos: what they stand at the output. From docs/models.md and docs/figures.md alone."""

import math

import numpy as np

import stages
from models import asked_of, load_of, of_output, optional, places, si, situations, supply_of, train_of


def steps_of(drive, driver):
    if "steps" in drive:
        return drive["steps"]
    values = [row["value"] for row in driver["stepSwitches"]]
    fit = values if driver["drives"] == "step-servo" else [v for v in values if v <= 8]
    return max(fit) if fit else (values[0] if values else 1)


def set_current_of(drive, driver, rated):
    """What flows is the switch at or under what is asked, else the least there is; r.m.s. of a phase."""
    asked = si(drive, "setCurrent", min(rated, si(driver, "mostCurrent")))
    rows = driver.get("currentSwitches") or []
    if not rows:
        return asked
    as_rms = 1.0 if driver.get("counts") == "rms" else 1 / math.sqrt(2)
    flows = sorted(row["value"] * as_rms for row in rows)
    under = [value for value in flows if value <= asked * (1 + 1e-3)]
    return under[-1] if under else flows[0]


class Stepped:
    """A stepper or a step servo."""

    def __init__(self, plan, choice, job):
        drive = choice["drive"]
        part, driver = plan["parts"][drive["motor"]]["part"], plan["parts"][drive["driver"]]["part"]
        self.n = drive["motors"]
        self.apart = self.n if drive.get("apart") and self.n > 1 else None
        self.stages = choice["stages"]
        self.load = load_of(job, choice["output"], self.apart)
        self.asked = asked_of(job, self.load)
        ramp = drive.get("ramp", "ramp") == "ramp"
        self.command(job, ramp)
        volts = supply_of(plan, drive["node"], self.n)["rest"]
        self.total, self.eta, self.back = train_of(self.stages, self.load["eta"])
        self.lever = self.total / self.load["radius"]
        self.open = part["kind"] == "stepper"
        if self.open:
            holding, rated = si(part, "holdingTorque"), si(part, "ratedCurrent")
            current = set_current_of(drive, driver, rated)
            pairs, k = part.get("stepsPerTurn", 200) / 4, holding / (math.sqrt(2) * rated)
            r, inductance, detent = si(part, "phaseResistance"), si(part, "phaseInductance"), si(part, "detentTorque", 0.04 * holding)

            def pull_out(omega):
                z = math.hypot(r, pairs * omega * inductance)
                return max(0.0, min(holding * current / rated, k * volts / z - k * k * omega * r / z**2) - detent)

            steps = steps_of(drive, driver)
            crawl = math.sqrt(0.5) if steps < 2 else 0.92 if steps < 4 else 1.0
            self.torques = {"pull-out": lambda name, w: pull_out(w) * (crawl if name == "starting" else 1), "hold-current": lambda name, w: holding * current * si(drive, "idleShare", 0.5) / rated}
            self.named = {"pull-out": ("starting", "working"), "hold-current": ("holding",)}
            self.rotor = si(part, "rotorInertia", 1.95e-5 * holding ** (4 / 3))
        else:
            rated, speed = si(part, "ratedTorque"), si(part, "ratedSpeed")
            peak, top = si(part, "peakTorque", rated), si(part, "topSpeed", 1.3 * speed)
            scale = min(1.0, volts / si(part, "ratedVoltage"))
            share = lambda w: float(np.interp(w, [speed * scale, top * scale], [1.0, 0.0]))
            duty = self.asked["duty"]
            self.torques = {"peak-torque": lambda name, w: peak * share(w), "rated-torque": lambda name, w: rated * share(w) / (math.sqrt(duty) if name == "working" else 1)}
            self.named = {"peak-torque": ("starting", "working", "holding"), "rated-torque": ("working", "holding")}
            self.rotor = si(part, "rotorInertia", 4.5e-5 * rated)

    def command(self, job, ramp):
        """The pulses say the motion: a third of the time each for speeding up, going and slowing down."""
        asked, travel, per = self.asked, self.load["travel"], self.load.get("per", 1.0)
        if self.load["target"] is not None:
            typed = optional(job, "acceleration")
            asked["acceleration"] = 0.0 if not ramp else (self.load["target"] / asked["time"] if typed is None else typed / per)
        elif travel is None:
            asked["acceleration"] = 0.0
        else:
            typed_v, typed_a = optional(job, "speed"), optional(job, "acceleration")
            speed = (1.5 if ramp else 1.0) * travel / asked["time"] if typed_v is None else typed_v / per
            if ramp:
                slope = 3 * speed / asked["time"] if typed_a is None else typed_a / per
                asked["speed"], asked["acceleration"] = min(speed, math.sqrt(slope * travel)), slope
            else:
                asked["speed"], asked["acceleration"] = speed, 0.0

    def rungs(self, name, situation):
        _demand, speed, acceleration, _seconds, back = situation
        omega = speed * self.lever
        found = stages.rungs(self.stages, self.load, self.n, self.apart, omega, back)
        for key, torque in self.torques.items():
            if name not in self.named[key]:
                continue
            most = torque(name, omega)
            if back:
                found[key] = math.inf if self.back == 0 else self.n * most * self.lever / self.back
            else:
                rotors = 0.0 if name == "working" else self.n * self.rotor * self.lever**2 * self.eta * acceleration
                found[key] = self.n * most * self.lever * self.eta - rotors
        return {key: max(0.0, force) for key, force in found.items()} | of_output(self.load, name)


def linkage_along(linkage, distance, start, sense):
    """Turn of the output, metres of a push rod, for each turn of the horn, over the way the output has gone."""
    horn, rod = si(linkage, "horn"), si(linkage, "rod")

    def output(theta):
        x, y = horn * math.cos(theta), horn * math.sin(theta)
        if linkage["kind"] == "push-rod":
            inside = rod**2 - (y - si(linkage, "offset", 0.0)) ** 2
            return x + math.sqrt(inside) if inside > 0 else None
        ground, lever = si(linkage, "ground"), si(linkage, "lever")
        apart = math.hypot(x - ground, y)
        cosine = (apart**2 + lever**2 - rod**2) / (2 * apart * lever)
        if abs(cosine) > 1:
            return None
        return math.atan2(y, x - ground) + (1 if linkage.get("crossed") else -1) * math.acos(cosine)

    step, gone, way = 1e-3, 0.0, []
    before, at = output(start), 0.0
    while before is not None and gone <= distance and at < 2 * math.pi:
        after = output(start + sense * (at + step))
        if after is None:
            break
        moved = after - before
        if linkage["kind"] == "four-bar":
            moved = (moved + math.pi) % (2 * math.pi) - math.pi
        way.append((gone, abs(moved) / step))
        gone, before, at = gone + abs(moved), after, at + step
    return (*np.array(way).T, gone >= distance)


class Servo:
    """Position servos on a rail."""

    def __init__(self, plan, mechanism, choice, job, alone=False):
        drive = choice["drive"]
        self.part = plan["parts"][drive["servo"]]["part"]
        self.n = drive["servos"]
        self.stages = choice["stages"]
        self.load = load_of(job, choice["output"], None)
        self.asked = asked_of(job, self.load)
        self.total, self.eta, self.back = train_of(self.stages, self.load["eta"])
        self.per_output = self.load["radius"] / self.total
        linkage = drive.get("linkage", {"kind": "direct"})
        if linkage["kind"] == "direct":
            self.ratio = lambda q: self.per_output
        else:
            sense = -1 if linkage.get("turns") == "against" else 1
            gone, ratios, reaches = linkage_along(linkage, (self.load["travel"] or 0.0) / self.per_output, si(linkage, "start"), sense)
            self.ratio = (lambda q: self.per_output * float(np.interp(q / self.per_output, gone, ratios))) if reaches else None
        if alone:
            return
        node = next(n for n in plan["supply"] if n["id"] == drive["node"])
        on_pack = node.get("source", "regulator") == "pack"
        volts = supply_of(plan, node["id"], self.n)["rest"] if on_pack else si(node, "voltage")
        moving = 0.0
        for other in plan["mechanisms"]:
            its = next(c for c in other["choices"] if c["id"] == other["current"])
            if its["drive"]["kind"] == "servo" and its["drive"]["node"] == drive["node"]:
                each = max(Servo(plan, other, its, j, True).moving(volts) for j in other["jobs"])
                moving += each * its["drive"]["servos"] * its["drive"].get("joints", 1)
                if other is mechanism:
                    self.own = each
        self.volts = max(1e-3, volts - si(node, "resistance", 0.05) * moving)
        self.others = moving - self.n * self.own
        discharge = supply_of(plan, node["id"], self.n)["discharge"] if on_pack else None
        self.steady = si(node, "continuous", discharge)
        self.burst = si(node, "burst", self.steady)
        mass = optional(self.part, "mass")
        rotor = {"brushed": 6e-8, "coreless": 2e-8, "brushless": 4e-8}[self.part.get("motor", "brushed")]
        inside = math.prod(pair["driven"] / pair["driver"] for pair in self.part["inside"]) if self.part.get("inside") else 250
        self.rotor = si(self.part, "rotorInertia", rotor * (1 if mass is None else (mass / 0.05) ** (5 / 3))) * inside**2

    def rating(self, volts):
        linear = self.part["motion"] == "linear"
        rows = []
        for point in sorted(self.part["points"], key=lambda p: p["voltage"]["si"]):
            u, torque = si(point, "voltage"), si(point, "stallForce" if linear else "stallTorque")
            speed = si(point, "velocity" if linear else "speed")
            rows.append((u, torque, speed, si(point, "stallCurrent", torque * speed / (0.6 * u))))
        us, *columns = zip(*rows)
        below = min(1.0, volts / us[0])
        torque, speed, stall = (below * float(np.interp(volts, us, column)) for column in columns)
        return torque, speed, stall, si(self.part, "runningCurrent", rows[-1][3] / 6)

    def at_horn(self, force, q):
        through = force / self.eta if force >= 0 else force * self.back
        return through * self.ratio(q) / self.n

    def moving(self, volts):
        stall_torque, _speed, stall, running = self.rating(volts)
        worst = max(self.at_horn(self.load["force"](q, self.asked["speed"]), q) for q in places(self.load, 241))
        return running + (stall - running) * min(1.0, max(0.0, worst / stall_torque))

    def rungs(self, name, situation):
        demand, speed, acceleration, _seconds, back = situation
        found = stages.rungs(self.stages, self.load, self.n, None, speed * self.total / self.load["radius"], back)
        stall_torque, free, stall, running = self.rating(self.volts)

        def asked(q):
            if name == "holding":
                return abs(self.load["hold"](q))
            force = self.load["force"](q, speed)
            return -force if back else force + self.load["mass"] * acceleration

        place = max(places(self.load, 2001), key=lambda q: self.at_horn(asked(q), q))
        force = asked(place) * (self.eta * self.back if back else 1)
        on_horn = self.at_horn(force, place)
        own = self.rotor * acceleration / self.ratio(place) if name == "starting" else 0.0
        left = max(0.0, stall_torque * (1 - speed / self.ratio(place) / free)) if name == "working" else stall_torque
        share = max(0.0, (self.burst if name == "starting" else self.steady) - self.others) / self.n
        of_rail = max(0.0, stall_torque * (share - running) / (stall - running))
        shock = self.shock if name == "starting" else 1.0
        for key, torque in {"servo-hold" if name == "holding" else "servo": left, "rail": of_rail}.items():
            found[key] = math.inf if on_horn <= 0 else demand * (torque - own) / (on_horn * shock)
        return {key: max(0.0, one) for key, one in found.items()} | of_output(self.load, name)


def recompute(plan, mechanism, choice, job):
    if choice["drive"]["kind"] == "step":
        machine = Stepped(plan, choice, job)
    else:
        machine = Servo(plan, mechanism, choice, job)
        machine.shock = si(job, "shock", 1.0)
    found = situations(job, machine.load, machine.asked)
    reaches = getattr(machine, "ratio", True) is not None
    rungs = {name: machine.rungs(name, s) for name, s in found.items() if s[0] > 0} if reaches else {}
    return {"demands": {name: s[0] for name, s in found.items()}, "rungs": rungs, "run": None}
