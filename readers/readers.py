"""Opens every file of a folder with readers that are not ours, prints what they say and ends with 1 when one of them complains.

Usage: readers.py FOLDER
"""
import glob
import os
import re
import subprocess
import sys
import tempfile

HERE = os.path.dirname(os.path.abspath(__file__))
bad = 0


def run(*command):
    done = subprocess.run(command, capture_output=True, text=True, timeout=600)
    return done.returncode, done.stdout + done.stderr


def line(ok, kind, name, said):
    global bad
    bad += not ok
    print("%-8s %-50s %-9s %s" % (kind, name[:50], "fine" if ok else "COMPLAINS", said))


def stl_volumes():
    """Volume of each STL by a mesh checker, summed over the pieces of a part."""
    sums = {}
    for f in sorted(glob.glob("*.stl")):
        code, out = run("admesh", f)
        volume = float(re.search(r"Volume\s+:\s+(\S+)", out).group(1))
        loose = int(re.search(r"Total disconnected facets\s+:\s+(\d+)", out).group(1))
        mended = sum(int(n) for n in re.findall(r"(?:Edges fixed|Facets removed|Facets added|Facets reversed|Normals fixed|Degenerate facets)\s+:\s+(\d+)", out))
        line(code == 0 and loose == 0 and mended == 0 and volume > 0, "STL", f, "closed, nothing to mend, %.1f mm³" % volume if not loose + mended else out[-200:])
        part = re.match(r"(.* R\d+)", f).group(1)
        sums[part] = sums.get(part, 0) + volume
    return sums


def step(sums):
    code, out = run("occt-draw-7.6", "-b", "-f", os.path.join(HERE, "step.tcl"))
    seen = set()
    for m in re.finditer(r"^STEP\|(.*)\|(\d)\|(\d+)\|(\S+)\|(\S+)\|(\d)$", out, re.M):
        name, valid, solids, worst, volume, warned = m.groups()
        seen.add(name)
        mesh = sums.get(name[:-5], 0)
        # A true circle is a little less than the polygon around it, so the solid is a little more than the mesh.
        share = float(volume) / mesh - 1 if mesh else 1
        ok = valid == "1" and float(worst) <= 1e-7 and warned == "0" and -1e-4 < share < 2e-3
        line(ok, "STEP", name, "%s solid%s, tolerance %s, %.1f mm³ (mesh %+.3f %%)" % (solids, "" if solids == "1" else "s", worst, float(volume), -100 * share))
    for f in sorted(set(glob.glob("*.step")) - seen):
        line(False, "STEP", f, "not read: " + out[-200:])


def meshes():
    for f in sorted(glob.glob("*.3mf") + glob.glob("*.obj")):
        code, out = run("assimp", "info", f)
        count = re.search(r"Meshes:\s+(\d+)", out)
        faces = re.search(r"Faces:\s+(\d+)", out)
        line(code == 0 and count is not None, f[-3:].upper(), f, "%s object%s, %s triangles" % (count.group(1), "" if count.group(1) == "1" else "s", faces.group(1)) if count else out[-200:])


def flat():
    code, out = run("/usr/bin/python3", os.path.join(HERE, "dxf.py"))
    seen = set()
    for m in re.finditer(r"^DXF\|(.*)\|(\S+)\|(\d+)\|(.*)$", out, re.M):
        seen.add(m.group(1))
        line(m.group(2) == "AC1009" and m.group(3) == "0", "DXF", m.group(1), m.group(2) + ", " + m.group(4))
    for f in sorted(set(glob.glob("*.dxf")) - seen):
        line(False, "DXF", f, "not read: " + out[-200:])
    drawn = os.path.join(tempfile.mkdtemp(), "drawn.png")
    for f in sorted(glob.glob("*.svg")):
        code, out = run("rsvg-convert", "-d", "254", "-p", "254", "-f", "png", "-o", drawn, f)
        line(code == 0 and os.path.getsize(drawn) > 1000, "SVG", f, out.strip() or "drawn")
    for f in sorted(glob.glob("*.pdf")):
        code, out = run("qpdf", "--check", f)
        pages = run("pdfinfo", f)[1]
        line(code == 0, "PDF", f, "%s sheet(s) of %s" % (re.search(r"Pages:\s+(\d+)", pages).group(1), re.search(r"Page size:\s+(.*)", pages).group(1)) if code == 0 else out[-200:])


os.chdir(sys.argv[1])
step(stl_volumes())
meshes()
flat()
print("%d complaints." % bad)
sys.exit(1 if bad else 0)
