"""A link of known delay between this host and a network namespace: two TUN devices, and every packet held for its time.

delayRelay.py NAMESPACE HERE THERE DELAY_MS JITTER_MS

One way a packet takes DELAY_MS plus something even between -JITTER_MS and +JITTER_MS; none overtakes another. Needs root.
"""
import ctypes, fcntl, heapq, os, random, select, struct, subprocess, sys, time

namespace, here, there, delay_ms, jitter_ms = sys.argv[1:]
delay_s, jitter_s = float(delay_ms) / 1000, float(jitter_ms) / 1000
TUNSETIFF, IFF_TUN, IFF_NO_PI, CLONE_NEWNET = 0x400454CA, 1, 0x1000, 0x40000000


def tun(name, address):
    fd = os.open("/dev/net/tun", os.O_RDWR | os.O_NONBLOCK)
    fcntl.ioctl(fd, TUNSETIFF, struct.pack("16sH", name.encode(), IFF_TUN | IFF_NO_PI))
    subprocess.run(["ip", "addr", "add", f"{address}/24", "dev", name], check=True)
    subprocess.run(["ip", "link", "set", name, "up", "txqueuelen", "1000"], check=True)
    return fd


near = tun(f"ud{os.getpid()}", here)
with open(f"/var/run/netns/{namespace}") as target:
    if ctypes.CDLL(None, use_errno=True).setns(target.fileno(), CLONE_NEWNET) != 0:
        raise OSError(ctypes.get_errno(), "setns")
far = tun("far1", there)
print("ready", flush=True)
other, last, held, n = {near: far, far: near}, {near: 0.0, far: 0.0}, [], 0
while True:
    wait_s = max(0.0, held[0][0] - time.monotonic()) if held else 1.0
    for fd in select.select([near, far], [], [], wait_s)[0]:
        try:
            while True:
                packet = os.read(fd, 65536)
                due = max(last[fd], time.monotonic() + delay_s + random.uniform(-jitter_s, jitter_s))
                last[fd], n = due, n + 1
                heapq.heappush(held, (due, n, other[fd], packet))
        except BlockingIOError:
            pass
    while held and held[0][0] <= time.monotonic():
        _, _, fd, packet = heapq.heappop(held)
        try:
            os.write(fd, packet)
        except BlockingIOError:
            pass
