"""Pictures that come in: made small, turned upright, and without what a camera writes into them (where, when, with what)."""

from __future__ import annotations

import base64
import binascii
import io
from dataclasses import dataclass

from PIL import Image, ImageOps

from sun_crumb.core.errors import CoreError

MOST_BYTES = 12_000_000
# A picture that says it is larger than this is not opened: a small file may unfold to gigabytes.
MOST_PIXELS = 60_000_000
LONG_SIDE, QUALITY = 1280, 82
KINDS = ("JPEG", "PNG", "WEBP")


class UnreadablePictureError(CoreError):
    """This is no picture, or none of the kinds that are read; says why."""

    code = "unreadable_picture"


@dataclass(frozen=True, slots=True)
class Picture:
    """A picture as it is kept: a JPEG, and its size [px]."""

    jpeg: bytes
    width: int
    height: int


def read_picture(content: str) -> Picture:
    """Return a picture out of base64 text, ready to be kept.

    Raises
    ------
    UnreadablePictureError
        It is too large, not base64, or no picture of the kinds JPEG, PNG and WebP.
    """
    if len(content) > MOST_BYTES * 4 // 3 + 8:
        raise UnreadablePictureError(f"the picture is larger than {MOST_BYTES // 1_000_000} MB", field="content")
    try:
        data = base64.b64decode(content, validate=True)
    except (binascii.Error, ValueError):
        raise UnreadablePictureError("the picture does not come as base64", field="content") from None
    try:
        with Image.open(io.BytesIO(data), formats=KINDS) as opened:
            if opened.width * opened.height > MOST_PIXELS:
                raise UnreadablePictureError("the picture has too many points to open", field="content")
            upright = ImageOps.exif_transpose(opened).convert("RGB")
    except UnreadablePictureError:
        raise
    except (OSError, ValueError, SyntaxError, Image.DecompressionBombError, MemoryError):
        raise UnreadablePictureError("this is no picture: JPEG, PNG and WebP are read", field="content") from None
    upright.thumbnail((LONG_SIDE, LONG_SIDE))
    bare = Image.new("RGB", upright.size)
    bare.paste(upright)
    out = io.BytesIO()
    bare.save(out, "JPEG", quality=QUALITY, optimize=True)
    return Picture(out.getvalue(), bare.width, bare.height)
