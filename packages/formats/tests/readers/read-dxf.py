# Reads a DXF with ezdxf, which had no part in writing it: what its audit finds, and what is in it. Prints JSON.
import json
import sys

import ezdxf

doc = ezdxf.readfile(sys.argv[1])
audit = doc.audit()


def of(entity):
    said = {"type": entity.dxftype(), "layer": entity.dxf.layer}
    if entity.dxftype() == "LWPOLYLINE":
        said["points"] = [list(p) for p in entity.get_points("xyb")]
        said["closed"] = entity.closed
    if entity.dxftype() == "TEXT":
        said["text"] = entity.dxf.text
    if entity.dxftype() == "ARC":
        said["arc"] = [entity.dxf.radius, entity.dxf.start_angle, entity.dxf.end_angle]
    if entity.dxftype() == "INSERT":
        said["name"] = entity.dxf.name
        said["inside"] = [of(each) for each in entity.virtual_entities()]
    return said


print(
    json.dumps(
        {
            "errors": [error.message for error in audit.errors],
            "version": doc.dxfversion,
            "units": doc.header["$INSUNITS"],
            "layers": [layer.dxf.name for layer in doc.layers],
            "entities": [of(entity) for entity in doc.modelspace()],
        }
    )
)
