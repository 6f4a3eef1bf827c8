"""The choice in force of one job, by the models of whatever drives it: plain motors, what takes pulses, servos."""

import machines
import models
import stages


def recompute(plan, mechanism, job):
    """Demands, what each limit stands, and of plain motors the run, of the choice in force."""
    choice = next(c for c in mechanism["choices"] if c["id"] == mechanism["current"])
    kind = choice["drive"]["kind"]
    if kind != "dc":
        return machines.recompute(plan, mechanism, choice, job)
    drive = models.Drive(plan, choice, job)
    found = models.situations(job, drive.load, drive.asked)
    apart = drive.n if choice["drive"].get("apart") and drive.n > 1 else None
    rungs = {}
    for name, s in found.items():
        if s[0] > 0:
            built = stages.rungs(choice["stages"], drive.load, drive.n, apart, s[1] * drive.lever, s[4])
            rungs[name] = drive.rungs(name, s) | built

    def gives(rung, share):
        """What a limit stands while working at a share of the speed wanted."""
        demand, speed, *rest = found["working"]
        return drive.rungs("working", (demand, speed * share, *rest))[rung]

    return {"demands": {name: s[0] for name, s in found.items()}, "rungs": rungs, "run": drive.run(), "gives": gives}
