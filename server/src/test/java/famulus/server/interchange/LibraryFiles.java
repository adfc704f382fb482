package famulus.server.interchange;

import famulus.server.ServerTest;
import famulus.server.team.Colleague;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.util.HashMap;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Files of the library as they go out and come in. */
abstract class LibraryFiles extends ServerTest {
    byte[] exported(String query, Colleague as) throws Exception {
        return mvc.perform(request("GET", "/api/library/export" + query, null, as))
                .andReturn()
                .getResponse()
                .getContentAsByteArray();
    }

    JsonNode look(byte[] file, Colleague as) throws Exception {
        return upload("/api/library/look", Map.of(), file, as);
    }

    JsonNode run(byte[] file, Map<String, ?> wanted, Colleague as) throws Exception {
        ByteArrayOutputStream all = new ByteArrayOutputStream();
        all.writeBytes(json.writeValueAsBytes(wanted));
        all.write('\n');
        all.writeBytes(file);
        return upload("/api/library/import", Map.of(), all.toByteArray(), as);
    }

    static Map<String, byte[]> entries(byte[] file) throws Exception {
        Map<String, byte[]> entries = new HashMap<>();
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(file))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                entries.put(entry.getName(), zip.readAllBytes());
            }
        }
        return entries;
    }

    static byte[] zip(Map<String, byte[]> entries) throws Exception {
        ByteArrayOutputStream file = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(file)) {
            for (Map.Entry<String, byte[]> one : entries.entrySet()) {
                zip.putNextEntry(new ZipEntry(one.getKey()));
                zip.write(one.getValue());
                zip.closeEntry();
            }
        }
        return file.toByteArray();
    }

    ObjectNode library(byte[] file) throws Exception {
        return (ObjectNode) json.readTree(entries(file).get("library.json"));
    }

    byte[] with(byte[] file, ObjectNode library) throws Exception {
        Map<String, byte[]> entries = entries(file);
        entries.put("library.json", json.writeValueAsBytes(library));
        return zip(entries);
    }
}
