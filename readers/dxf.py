"""Audits every DXF of the working folder and tells, a line each: file, version, errors, entities on each layer."""
import glob
from collections import Counter
from ezdxf import recover

for f in sorted(glob.glob("*.dxf")):
    doc, audit = recover.readfile(f)
    layers = Counter(e.dxf.layer for e in doc.modelspace())
    print("DXF|%s|%s|%d|%s" % (f, doc.dxfversion, len(audit.errors) + len(audit.fixes), ", ".join("%s %d" % i for i in sorted(layers.items()))))
