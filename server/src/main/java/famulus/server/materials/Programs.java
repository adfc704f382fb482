package famulus.server.materials;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HexFormat;
import java.util.List;
import java.util.Set;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;

/** Tells files that run when they are opened, by what they are called and by how they begin, whatever they are called. */
final class Programs {
    /** Mail servers turn messages with one of these away. */
    private static final Set<String> ENDINGS = Set.of(
            "exe",
            "com",
            "bat",
            "cmd",
            "msi",
            "msp",
            "mst",
            "msix",
            "appx",
            "scr",
            "pif",
            "js",
            "jse",
            "mjs",
            "vbs",
            "vbe",
            "vb",
            "wsf",
            "wsh",
            "wsc",
            "ps1",
            "psm1",
            "jar",
            "jnlp",
            "class",
            "lnk",
            "url",
            "hta",
            "cpl",
            "dll",
            "sys",
            "reg",
            "inf",
            "scf",
            "gadget",
            "application",
            "chm",
            "iso",
            "img",
            "vhd",
            "dmg",
            "pkg",
            "mpkg",
            "app",
            "apk",
            "deb",
            "rpm",
            "cab",
            "sh",
            "bash",
            "csh",
            "ksh",
            "zsh",
            "run",
            "command",
            "desktop",
            "docm",
            "dotm",
            "xlsm",
            "xltm",
            "xlam",
            "pptm",
            "potm",
            "ppam",
            "ppsm",
            "sldm");
    /** How programs, installers and what starts them begin. */
    private static final List<byte[]> BEGINNINGS = List.of(
            bytes("4D5A"), // programs of Windows
            bytes("7F454C46"), // programs of Linux
            bytes("FEEDFACE"), // programs of macOS, four ways
            bytes("FEEDFACF"),
            bytes("CEFAEDFE"),
            bytes("CFFAEDFE"),
            bytes("CAFEBABE"), // macOS for several machines, and classes of Java
            bytes("6465780A"), // programs of Android
            bytes("0061736D"), // WebAssembly
            bytes("2321"), // scripts that name what runs them
            bytes("EFBBBF2321"), // the same after a byte order mark
            bytes("213C617263683E0A64656269616E"), // packages of Debian
            bytes("EDABEEDB"), // packages of other Linuxes
            bytes("78617221"), // installers of macOS
            bytes("4D534346"), // cabinets of Windows
            bytes("49545346"), // its help files
            bytes("4C0000000114020000000000C000000000000046")); // its links to programs
    /** Files of older office programs, and installers of Windows. */
    private static final byte[] COMPOUND = bytes("D0CF11E0A1B11AE1");

    private static final byte[] INSTALLER = bytes("84100C0000000000C000000000000046");
    private static final byte[] MACROS = "_VBA_PROJECT".getBytes(StandardCharsets.UTF_16LE);
    private static final byte[] ARCHIVE = bytes("504B0304");
    private static final byte[] DISC = "CD001".getBytes(StandardCharsets.US_ASCII);
    private static final int DISC_AT = 32_769;
    private static final int MOST_ENTRIES = 10_000;

    private Programs() {}

    /**
     * Whether a file runs, installs something or has macros in it.
     *
     * @param cleaned its name, cleaned
     */
    static boolean is(String cleaned, byte[] content) {
        return ENDINGS.contains(FileName.ending(cleaned))
                || BEGINNINGS.stream().anyMatch(one -> startsWith(content, one, 0))
                || startsWith(content, DISC, DISC_AT)
                || startsWith(content, COMPOUND, 0) && (contains(content, INSTALLER) || contains(content, MACROS))
                || startsWith(content, ARCHIVE, 0) && archived(content);
    }

    /** Whether an archive is a program, or has one or macros in it. Its list of contents is read, nothing is unpacked. */
    private static boolean archived(byte[] content) {
        Path file = null;
        try {
            file = Files.createTempFile("famulus", ".zip");
            Files.write(file, content);
            try (ZipFile archive = new ZipFile(file.toFile())) {
                return archive.size() > MOST_ENTRIES || archive.stream().anyMatch(Programs::runs);
            }
        } catch (IOException | IllegalArgumentException damaged) {
            // One that can't be looked through could hold anything.
            return true;
        } finally {
            delete(file);
        }
    }

    private static boolean runs(ZipEntry entry) {
        String name = FileName.cleaned(entry.getName());
        return ENDINGS.contains(FileName.ending(name))
                || name.equalsIgnoreCase("vbaProject.bin")
                || name.equals("AndroidManifest.xml")
                || FileName.ending(name).equals("dex");
    }

    private static void delete(Path file) {
        try {
            if (file != null) {
                Files.deleteIfExists(file);
            }
        } catch (IOException left) {
            file.toFile().deleteOnExit();
        }
    }

    private static byte[] bytes(String hex) {
        return HexFormat.of().parseHex(hex);
    }

    private static boolean startsWith(byte[] content, byte[] what, int at) {
        if (content.length < at + what.length) {
            return false;
        }
        for (int i = 0; i < what.length; i++) {
            if (content[at + i] != what[i]) {
                return false;
            }
        }
        return true;
    }

    private static boolean contains(byte[] content, byte[] what) {
        for (int at = 0; at + what.length <= content.length; at++) {
            if (startsWith(content, what, at)) {
                return true;
            }
        }
        return false;
    }
}
