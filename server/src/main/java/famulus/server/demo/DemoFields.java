package famulus.server.demo;

import famulus.core.field.FieldDefinition;
import famulus.core.field.FieldDefinition.FieldOption;
import famulus.core.field.FieldType;
import famulus.core.field.RecordKind;
import famulus.server.records.CatalogueService;
import famulus.server.records.PipelineService;
import famulus.server.records.PipelineService.Option;
import famulus.server.records.PipelineService.OptionList;
import famulus.server.records.PipelineService.Outcome;
import famulus.server.records.PipelineService.Stage;
import java.util.List;
import java.util.Optional;

/** The fields this house has besides those every house has. */
final class DemoFields {
    static final List<String> CROPS = List.of("apple", "pear", "cherry", "almond", "blueberry", "rape_seed", "clover");
    static final List<String> STRENGTHS = List.of("light", "standard", "strong");

    private DemoFields() {}

    static void add(CatalogueService catalogue) {
        contact(catalogue, 20, "orchard_name", "Orchard name", FieldType.TEXT, List.of());
        contact(catalogue, 21, "crop", "Crop", FieldType.CHOICE, choices(CROPS));
        contact(catalogue, 22, "variety_mix", "Variety mix", FieldType.TEXT, List.of());
        contact(catalogue, 23, "hectares", "Hectares", FieldType.NUMBER, List.of());
        contact(catalogue, 24, "blossom_starts", "Blossom starts", FieldType.DATE, List.of());
        contact(catalogue, 25, "water_on_site", "Water on site", FieldType.YES_NO, List.of());
        contact(catalogue, 26, "access_notes", "Access notes", FieldType.LONG_TEXT, List.of());
        deal(catalogue, 20, "placement_date", "Placement date", FieldType.DATE, List.of());
        deal(catalogue, 21, "pick_up_date", "Pick-up date", FieldType.DATE, List.of());
        deal(catalogue, 22, "hive_count", "Hive count", FieldType.NUMBER, List.of());
        deal(catalogue, 23, "hive_strength", "Hive strength", FieldType.CHOICE, choices(STRENGTHS));
        deal(catalogue, 24, "deposit", "Deposit", FieldType.MONEY, List.of());
        deal(catalogue, 25, "spraying_contact", "Spraying contact", FieldType.TEXT, List.of());
        catalogue.add(
                field(RecordKind.LEAD, "crop", "Crop", FieldType.CHOICE, choices(CROPS)),
                "Orchard",
                20,
                60,
                false,
                true);
        catalogue.add(
                field(RecordKind.LEAD, "hectares", "Hectares", FieldType.NUMBER, List.of()),
                "Orchard",
                21,
                20,
                false,
                false);
    }

    /** How this company's deals go, where its leads come from, and who is who on a deal. */
    static void settle(PipelineService pipeline) {
        pipeline.keepStages(List.of(
                new Stage("enquiry", "enquiry", Outcome.OPEN),
                new Stage("site_visit", "site visit", Outcome.OPEN),
                new Stage("quoted", "quoted", Outcome.OPEN),
                new Stage("agreed", "agreed", Outcome.OPEN),
                new Stage("placed", "placed", Outcome.WON),
                new Stage("lost", "lost", Outcome.LOST)));
        pipeline.keepOptions(
                OptionList.LEAD_SOURCES,
                List.of(
                        new Option("fair", "Growers’ fair"),
                        new Option("web", "Web form"),
                        new Option("recommended", "Recommended"),
                        new Option("other", "Other")));
        pipeline.keepRoles(List.of("decides", "spraying", "invoices", "gate"));
    }

    private static void contact(
            CatalogueService catalogue,
            int position,
            String name,
            String label,
            FieldType type,
            List<FieldOption> choices) {
        int most = type == FieldType.LONG_TEXT ? 2000 : 200;
        catalogue.add(
                field(RecordKind.CONTACT, name, label, type, choices),
                "Orchard",
                position,
                most,
                false,
                name.equals("crop"));
    }

    private static void deal(
            CatalogueService catalogue,
            int position,
            String name,
            String label,
            FieldType type,
            List<FieldOption> choices) {
        catalogue.add(
                field(RecordKind.DEAL, name, label, type, choices),
                "Placement",
                position,
                200,
                false,
                name.equals("placement_date"));
    }

    private static FieldDefinition field(
            RecordKind kind, String name, String label, FieldType type, List<FieldOption> choices) {
        return new FieldDefinition(kind, name, label, type, choices, Optional.empty());
    }

    private static List<FieldOption> choices(List<String> codes) {
        return codes.stream()
                .map(code -> new FieldOption(code, code.replace('_', ' ')))
                .toList();
    }
}
