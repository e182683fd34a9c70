package kiver.server;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;

/** Spreadsheets as other programs write them, part by part. */
final class Spreadsheets {

    private static final String HEAD = "<?xml version=\"1.0\" encoding=\"UTF-8\"?>";
    private static final String MAIN = "http://schemas.openxmlformats.org/spreadsheetml/2006/main";
    private static final String RELATIONS = "http://schemas.openxmlformats.org/officeDocument/2006/relationships";

    private Spreadsheets() {}

    /** A workbook of a page of notes and a page of rows; style 1 is a date, style 2 a share of a hundred. */
    static byte[] workbook(String rows, String more) throws IOException {
        return zip(
                "[Content_Types].xml",
                HEAD + "<Types xmlns=\"http://schemas.openxmlformats.org/package/2006/content-types\">"
                        + "<Default Extension=\"rels\" ContentType=\"application/vnd.openxmlformats-package.relationships+xml\"/>"
                        + "<Default Extension=\"xml\" ContentType=\"application/xml\"/>"
                        + part("/xl/workbook.xml", "sheet.main") + part("/xl/styles.xml", "styles")
                        + part("/xl/worksheets/sheet1.xml", "worksheet")
                        + part("/xl/worksheets/sheet2.xml", "worksheet") + "</Types>",
                "_rels/.rels",
                HEAD + "<Relationships xmlns=\"http://schemas.openxmlformats.org/package/2006/relationships\">"
                        + "<Relationship Id=\"r1\" Type=\"" + RELATIONS
                        + "/officeDocument\" Target=\"xl/workbook.xml\"/></Relationships>",
                "xl/workbook.xml",
                HEAD + "<workbook xmlns=\"" + MAIN + "\" xmlns:r=\"" + RELATIONS + "\"><sheets>"
                        + "<sheet name=\"Notes\" sheetId=\"1\" r:id=\"r1\"/><sheet name=\"Seed\" sheetId=\"2\" r:id=\"r2\"/></sheets></workbook>",
                "xl/_rels/workbook.xml.rels",
                HEAD + "<Relationships xmlns=\"http://schemas.openxmlformats.org/package/2006/relationships\">"
                        + "<Relationship Id=\"r1\" Type=\"" + RELATIONS
                        + "/worksheet\" Target=\"worksheets/sheet1.xml\"/>"
                        + "<Relationship Id=\"r2\" Type=\"" + RELATIONS
                        + "/worksheet\" Target=\"worksheets/sheet2.xml\"/>"
                        + "<Relationship Id=\"r3\" Type=\"" + RELATIONS
                        + "/styles\" Target=\"styles.xml\"/></Relationships>",
                "xl/styles.xml",
                HEAD + "<styleSheet xmlns=\"" + MAIN
                        + "\"><cellXfs count=\"3\"><xf numFmtId=\"0\"/><xf numFmtId=\"14\"/>"
                        + "<xf numFmtId=\"9\"/></cellXfs></styleSheet>",
                "xl/worksheets/sheet1.xml",
                page("<row r=\"1\">" + text("A1", "To do: order more") + "</row>", ""),
                "xl/worksheets/sheet2.xml",
                page(rows, more));
    }

    private static String part(String name, String kind) {
        return "<Override PartName=\"" + name
                + "\" ContentType=\"application/vnd.openxmlformats-officedocument.spreadsheetml." + kind + "+xml\"/>";
    }

    private static String page(String rows, String more) {
        return HEAD + "<worksheet xmlns=\"" + MAIN + "\"><sheetData>" + rows + "</sheetData>" + more + "</worksheet>";
    }

    static String text(String cell, String text) {
        return "<c r=\"" + cell + "\" t=\"inlineStr\"><is><t>" + text + "</t></is></c>";
    }

    static String number(String cell, String value, int style) {
        return "<c r=\"" + cell + "\" s=\"" + style + "\"><v>" + value + "</v></c>";
    }

    static String formula(String cell, String formula, String value) {
        return "<c r=\"" + cell + "\"><f>" + formula + "</f><v>" + value + "</v></c>";
    }

    /** An OpenDocument spreadsheet of one page. */
    static byte[] openDocument(String rows) throws IOException {
        return zip(
                "mimetype",
                "application/vnd.oasis.opendocument.spreadsheet",
                "META-INF/manifest.xml",
                HEAD + "<manifest:manifest xmlns:manifest=\"urn:oasis:names:tc:opendocument:xmlns:manifest:1.0\">"
                        + "<manifest:file-entry manifest:full-path=\"/\" manifest:media-type=\"application/vnd.oasis.opendocument.spreadsheet\"/>"
                        + "<manifest:file-entry manifest:full-path=\"content.xml\" manifest:media-type=\"text/xml\"/></manifest:manifest>",
                "content.xml",
                HEAD + "<office:document-content xmlns:office=\"urn:oasis:names:tc:opendocument:xmlns:office:1.0\""
                        + " xmlns:table=\"urn:oasis:names:tc:opendocument:xmlns:table:1.0\""
                        + " xmlns:text=\"urn:oasis:names:tc:opendocument:xmlns:text:1.0\" office:version=\"1.2\">"
                        + "<office:automatic-styles/><office:body><office:spreadsheet><table:table table:name=\"Growers\">"
                        + rows
                        + "</table:table></office:spreadsheet></office:body></office:document-content>");
    }

    /** A zip of parts: name and content in turn. */
    static byte[] zip(String... parts) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
            for (int part = 0; part < parts.length; part += 2) {
                zip.putNextEntry(new ZipEntry(parts[part]));
                zip.write(parts[part + 1].getBytes(StandardCharsets.UTF_8));
                zip.closeEntry();
            }
        }
        return bytes.toByteArray();
    }
}
