"""Recomputes the demo robots and two hundred generated plans, and holds the program's own evaluation against them.

    python3 reference/compare.py            prints what differs, and writes docs/reference.md
    python3 reference/compare.py 30         the same with so many generated plans

It asks the program for its evaluation of each plan file by `npm run -s evaluate`, and works everything out a second time in
models.py. Needs Python 3.10 or newer, numpy and scipy; the program itself needs none of them.
"""

import copy
import json
import math
import pathlib
import random
import subprocess
import sys
import tempfile
from collections import defaultdict

import models
from recompute import recompute

ROOT = pathlib.Path(__file__).resolve().parent.parent
WITHIN = 0.005
GENERATED = int(sys.argv[1]) if len(sys.argv) > 1 else 200
# The worse, the greater: what is known to be tight says more than what is not known.
SEVERITY = ["enough", "not known", "tight", "gives way"]


def quantity(value):
    return {"si": value, "as": f"{value:.9g}", "source": "typed"}


def shaken(plan, seed):
    """The same robot with every figure of jobs and outputs another, other stages, slopes, profiles and packs."""
    rng = random.Random(seed)
    plan = copy.deepcopy(plan)
    for part in plan["parts"].values():
        own = part["part"]
        if own["kind"] == "motor" and own["data"]["form"] == "kv" and "resistance" not in own["data"]:
            own["data"]["resistance"] = quantity(0.042)
        if own["kind"] == "pack":
            own["cellResistance"] = quantity(rng.uniform(0.001, 0.006))
    for node in plan["supply"]:
        if node["kind"] == "pack":
            node["charge"] = quantity(rng.choice([0.1, 0.35, 0.5, 0.8, 1.0]))
            node["others"] = quantity(rng.choice([0.0, 4.0, 12.0]))
    for mechanism in plan["mechanisms"]:
        mechanism["current"] = rng.choice(mechanism["choices"])["id"]
        choice = next(c for c in mechanism["choices"] if c["id"] == mechanism["current"])
        for record in [choice["output"], *mechanism["jobs"]]:
            for key, value in record.items():
                # An angle may pass nought, a share and a number of turns keep their meaning.
                if isinstance(value, dict) and "si" in value and key not in ("drivenShare", "efficiency", "slope", "from", "to", "holdAngle", "loadPerRope"):
                    value["si"] *= rng.uniform(0.75, 1.3)
        for stage in choice["stages"]:
            shake_stage(stage, rng)
        if choice["drive"]["kind"] != "dc":
            shake_machine(choice["drive"], rng)
            continue
        choice["drive"]["motors"] = rng.choice([choice["drive"]["motors"], rng.randint(1, 3)])
        for job in mechanism["jobs"]:
            if job["kind"] in ("sprint", "push", "convey") and rng.random() < 0.5:
                job["slope"] = quantity(math.radians(rng.uniform(-6, 12)))
            if job["kind"] == "raise" and rng.random() < 0.4:
                job["counterforce"] = quantity(rng.uniform(0, 60))
        for stage in choice["stages"]:
            if stage["kind"] in ("teeth", "chain", "belt"):
                stage["efficiency"] = quantity(rng.uniform(0.9, 0.99))
        extra = rng.choice(["none", "planetary", "ratio", "worm"])
        total = rng.uniform(0.8, 1.6)
        if extra in ("planetary", "ratio"):
            choice["stages"].append({"id": "extra", "kind": extra, "ratio": quantity(total)})
        elif extra == "worm" and mechanism["kind"] in ("roller", "turntable"):
            choice["stages"].append({"id": "extra", "kind": "worm", "starts": 2, "teeth": 8, "leadAngle": quantity(math.radians(rng.uniform(9, 25)))})
    return plan


def shake_stage(stage, rng):
    """Other teeth, materials, widths and shafts; a chain or belt keeps the length that suits its wheels."""
    if stage["kind"] not in ("teeth", "chain", "belt"):
        return
    stage["driver"] = max(12, stage["driver"] + rng.randint(-2, 6))
    stage["driven"] = max(12, stage["driven"] + rng.randint(-6, 10))
    for length in ("links", "beltTeeth"):
        stage.pop(length, None)
    if stage["kind"] == "teeth":
        stage["material"] = rng.choice(["hardened steel", "plain steel", "7075 aluminium", "brass", "nylon or acetal", "printed"])
        if rng.random() < 0.3:
            stage["idler"] = rng.randint(14, 40)
    if stage["kind"] == "chain":
        stage["wear"] = quantity(rng.uniform(0, 0.03))
        stage["takeUp"] = rng.choice(["slide", "tensioner"])
    if stage["kind"] == "belt":
        stage["profile"] = rng.choice(["round", "modified round"])
        stage["face"] = quantity(rng.uniform(0.006, 0.02))
        stage["idler"] = rng.random() < 0.3
    if rng.random() < 0.6:
        stage["shaft"] = {"form": rng.choice(["round", "hexagon", "keyed"]), "size": quantity(rng.uniform(0.005, 0.012)), "material": rng.choice(["hardened steel", "mild steel", "7075 aluminium", "6061 aluminium"])}


def shake_machine(drive, rng):
    if drive["kind"] == "step":
        drive["motors"] = rng.randint(1, 2)
        drive["ramp"] = rng.choice(["ramp", "at once"])
        drive["idleShare"] = quantity(rng.uniform(0.3, 1))
    else:
        drive["servos"] = rng.randint(1, 3)


def sled(seed):
    """A carriage on a screw and plain motors of every form: what the demo has none of."""
    rng = random.Random(seed)
    lead = rng.uniform(0.004, 0.02)
    return {
        "id": "carriage",
        "name": "Sled",
        "kind": "carriage",
        "current": "a",
        "jobs": [{"id": "slide", "kind": "slide", "name": "Along", "mass": quantity(rng.uniform(2, 9)), "distance": quantity(0.3), "time": quantity(rng.uniform(1, 3)), "slope": quantity(rng.choice([0.0, 0.4, 1.2]))}],
        "choices": [
            {
                "id": "a",
                "name": "a",
                "stages": [{"id": "s1", "kind": "screw", "lead": quantity(lead), "pitchDiameter": quantity(0.009)}],
                "output": {"kind": "carriage", "screwDiameter": quantity(0.008)},
            }
        ],
    }


def with_sled(plan, seed):
    own = sled(seed)
    drives = [c["drive"] for m in plan["mechanisms"] for c in m["choices"] if c["drive"]["kind"] in ("dc", "step")]
    pulsed = [drive for drive in drives if drive["kind"] == "step"]
    # Every other one by a motor that takes pulses, where the robot has one: it holds on its slope.
    drive = pulsed[seed % len(pulsed)] if pulsed and seed % 2 else next(d for d in drives if d["kind"] == "dc")
    own["choices"][0]["drive"] = {**copy.deepcopy(drive), "motors": 1}
    plan["mechanisms"].append(own)
    return plan


def evaluated(path):
    done = subprocess.run(["npm", "run", "-s", "evaluate", "--", str(path)], cwd=ROOT, capture_output=True, text=True)
    start = done.stdout.find("{")
    if start < 0:
        sys.exit(f"{path}: no evaluation\n{done.stderr}")
    return json.loads(done.stdout[start:])


def compare(name, plan, report, differ, counts):
    for mechanism, said in zip(plan["mechanisms"], report["mechanisms"]):
        for job, its in zip(mechanism["jobs"], said["jobs"]):
            where = f"{name}, {mechanism['name']}, {job['name']}"
            try:
                mine = recompute(plan, mechanism, job)
            except models.NotKnown as lack:
                counts["not known"] += 1
                if its["verdict"] == "enough" and not any("missing" in s and s["missing"] for s in its["situations"].values()):
                    differ.append((where, f"figure {lack}", math.nan, math.nan))
                continue

            def hold(what, kind, own, there):
                counts[kind] += 1
                if abs(own - there) > WITHIN * max(abs(own), abs(there), 1e-9):
                    differ.append((where, what, own, there))

            for situation, its_ladder in its["situations"].items():
                if "demand" in its_ladder and its_ladder["demand"]:
                    hold(f"{situation}: demand", "demands", mine["demands"][situation], its_ladder["demand"]["value"])
                for rung in its_ladder["rungs"]:
                    own = mine["rungs"].get(situation, {}).get(rung["id"])
                    if rung.get("capacity"):
                        counts[f"rung {rung['id']}{'' if own is not None else ', left out'}"] += 1
                    if own is not None and rung.get("capacity"):
                        hold(f"{situation}: {rung['id']}", "limits", own, rung["capacity"]["value"])
                    # What stalls gives so much of the force at rest; what is too slow gives all of it at so much of the speed.
                    if rung.get("shortfall") in ("stalls", "too slow") and situation == "working" and "gives" in mine:
                        stalls, share = rung["shortfall"] == "stalls", rung["multiple"]
                        there = mine["demands"][situation] * (share if stalls else 1)
                        hold(f"{rung['id']} {rung['shortfall']}", "shortfalls", mine["gives"](rung["id"], 0 if stalls else share), there)
            run = its.get("run")
            if mine["run"] and run and run["outcome"] == "arrived":
                hold("run: time", "runs", mine["run"]["time"], run["time"]["value"])
                hold("run: energy of the pack", "runs", mine["run"]["packEnergy"], run["packEnergy"]["value"])
                hold("run: r.m.s. current", "runs", mine["run"]["rmsMotorCurrent"], run["rmsMotorCurrent"]["value"])


def worst(verdicts):
    return max(verdicts, key=SEVERITY.index, default="enough")


def rolled_up(name, report, differ, counts):
    """The verdicts of jobs, mechanisms and the robot, from the rungs and checks up."""

    def hold(where, own, there):
        counts["rolled up"] += 1
        if own != there:
            differ.append((where, f"verdict {own} here, {there} there", SEVERITY.index(own), SEVERITY.index(there)))

    mechanisms = []
    for mechanism in report["mechanisms"]:
        jobs = []
        for job in mechanism["jobs"]:
            # What a check cannot tell is said beside the verdict; what a situation cannot tell is one.
            checks = [check["verdict"] for check in job["checks"] if check["verdict"] != "not known"]
            jobs.append(worst(checks + [situation["verdict"] for situation in job["situations"].values()]))
            hold(f"{name}, {mechanism['name']}, {job['name']}", jobs[-1], job["verdict"])
        mechanisms.append(worst(jobs))
        hold(f"{name}, {mechanism['name']}", mechanisms[-1], mechanism["headline"]["verdict"])
    robot = report["robot"]
    of = [found["verdict"] for found in robot["findings"] if found["of"] not in ("mechanism", "match")]
    matches = [match["verdict"] for match in robot["matches"]]
    hold(f"{name}, the whole robot", worst(mechanisms + matches + of), robot["verdict"])


def main():
    demo = {name: json.loads((ROOT / f"contract/demo/{name}.json").read_text()) for name in ("heron", "limpet")}
    plans = dict(demo)
    for i in range(GENERATED):
        base = demo["heron" if i % 3 else "limpet"]
        plans[f"generated {i + 1}"] = with_sled(shaken(base, i + 1), i + 1)
    differ, counts = [], defaultdict(int)
    with tempfile.TemporaryDirectory() as folder:
        for name, plan in plans.items():
            path = pathlib.Path(folder) / f"{name.replace(' ', '-')}.json"
            path.write_text(json.dumps(plan))
            report = evaluated(path)
            compare(name, plan, report, differ, counts)
            rolled_up(name, report, differ, counts)
            print(name, dict(counts), len(differ), flush=True)
    for kind in sorted(key for key in counts if key.startswith('rung ')):
        print(kind, counts[kind])
    for where, what, own, there in differ:
        print(f"{where}: {what}: {own:.6g} here, {there:.6g} there")
    total = sum(counts[kind] for kind in ("demands", "limits", "shortfalls", "runs", "rolled up"))
    print(f"{total - len(differ)} of {total} figures agree within {100 * WITHIN} %")
    write(total, differ, counts)


def write(total, differ, counts):
    lines = [
        "# A second computation",
        "",
        f"Made by `python3 reference/compare.py`: both demo robots and {GENERATED} plans generated from them, with a carriage on a screw added",
        "to each, worked out once more in Python with scipy from [models.md](models.md) and [figures.md](figures.md), importing nothing of",
        "the program, and held against `npm run evaluate`.",
        "",
        "| what | figures |",
        "| --- | --- |",
        f"| demands of the output | {counts['demands']} |",
        f"| what limits stand | {counts['limits']} |",
        f"| what stalls or is too slow, in its share | {counts['shortfalls']} |",
        f"| time, energy and current of runs | {counts['runs']} |",
        f"| verdicts of jobs, mechanisms and robots, from rungs and checks up | {counts['rolled up']} |",
        f"| **agree within {100 * WITHIN} %** | **{total - len(differ)} of {total}** |",
        "",
        f"Jobs left out for want of a figure: {counts['not known']}. The plans cover every load, machine and stage; limits by kind:",
        "",
        ", ".join(f"{key[5:]} {counts[key]}" for key in sorted(counts) if key.startswith("rung ")) + ".",
        "",
        "Runs are those of plain motors at full effort. Braking, the heat of a match and the checks are not in it: those stand against",
        "plain mechanics of their own in `core/test/mechanics`.",
    ]
    if differ:
        lines += ["", "Differing:", "", "| where | what | here | program |", "| --- | --- | --- | --- |"]
        lines += [f"| {where} | {what} | {own:.5g} | {there:.5g} |" for where, what, own, there in differ[:60]]
    (ROOT / "docs/reference.md").write_text("\n".join(lines) + "\n")


main()
